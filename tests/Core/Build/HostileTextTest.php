<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use DOMDocument;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\PartsList;
use Rundfunk\Build\WiringTable;
use Rundfunk\Drawing\LineMapDrawing;
use Rundfunk\Plan\Plan;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;
use Tests\Core\HostilePlans;

/** Nothing that a plan holds can act in what is made of it. Read by gcc, Python's own readers of TOML, CSV and JSON, and libxml. */
final class HostileTextTest extends CoreTestCase
{
    private const READER = <<<'PY'
        import csv, io, json, sys, tomllib, unicodedata
        from xml.etree import ElementTree
        for path in sys.argv[1:]:
            with open(path, 'rb') as file:
                raw = file.read()
            text = raw.decode('utf-8')
            if path.endswith('.toml'):
                read = tomllib.loads(text)
                assert set(read) == {'protocols'}, (path, read.keys())
                for one in read['protocols']:
                    assert 'pwned' not in one, path
            elif path.endswith('.csv'):
                rows = list(csv.reader(io.StringIO(text, newline='')))
                assert len({len(row) for row in rows}) == 1, path
                for cell in [cell for row in rows for cell in row]:
                    # As a spreadsheet might: whatever is invisible or wide is looked through.
                    bare = ''.join(c for c in unicodedata.normalize('NFKC', cell) if unicodedata.category(c)[0] not in 'CZ')
                    assert bare[:1] not in '=+-@' or bare == '' or bare[1:].replace('.', '', 1).isdigit(), (path, cell)
            elif path.endswith(('.json', '.jsonld')):
                json.loads(text)
            elif path.endswith('.svg'):
                tags = {element.tag.split('}')[1] for element in ElementTree.fromstring(text).iter()}
                assert tags <= {'svg', 'title', 'g', 'path', 'rect', 'text'}, (path, tags)
            else:
                assert not any(unicodedata.category(c) in ('Cc', 'Cf', 'Zl', 'Zp') and c != '\n' for c in text), path
                assert not any(line.startswith(('ATD', '#error', 'Set-Cookie', 'pwned')) for line in text.split('\n')), path
        PY;

    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-hostile-'.getmypid().'-'.bin2hex(random_bytes(4));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        foreach (range(1, 6) as $seed) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_a_header_holds_nothing_but_what_it_should(int $seed): void
    {
        $plan = self::hostile($seed);
        $sources = [];
        foreach ($plan->nodes() as $at => $node) {
            $header = (new CHeader(self::knowledge()))->write($plan, $node);
            self::assertDoesNotMatchRegularExpression('/[\x00-\x08\x0B-\x1F\x7F]|[\x{202A}-\x{202E}\x{2066}-\x{2069}\x{2028}\x{2029}]/u', $header, 'no invisible sign changes how a line is read');
            file_put_contents("{$this->folder}/{$at}.h", $header);
            file_put_contents("{$this->folder}/{$at}.c", "#include \"{$at}.h\"\nint unit_{$at};\n");
            foreach (BehaviourFiles::of($plan, $node, self::knowledge()) as $file) {
                if ($file->key === 'c-behaviour') {
                    self::assertDoesNotMatchRegularExpression('/[\x00-\x08\x0B-\x1F\x7F]|[\x{202A}-\x{202E}\x{2066}-\x{2069}\x{2028}\x{2029}]/u', $file->content);
                    file_put_contents("{$this->folder}/behaviour{$at}.h", (string) preg_replace('/^#include "[a-z0-9_-]+\.h"$/m', "#include \"{$at}.h\"", $file->content, -1, $includes));
                    self::assertSame(1, $includes);
                    file_put_contents("{$this->folder}/{$at}.c", "#include \"behaviour{$at}.h\"\nint unit_{$at};\n");
                }
            }
            $sources[] = "{$at}.c";
        }
        $this->execute(['gcc', '-std=c99', '-trigraphs', '-Wall', '-Wextra', '-Werror', '-c', ...$sources]);
        $objects = array_map(static fn (string $source): string => str_replace('.c', '.o', $source), $sources);
        self::assertDoesNotMatchRegularExpression('/\bpwned\b/', $this->execute(['nm', ...$objects]));
        // A definition that is static and unused is in no table of symbols.
        $this->execute(['gcc', '-std=c99', '-trigraphs', '-E', '-P', '-o', 'all.i', '-x', 'c', self::including(count($sources), $this->folder)]);
        $code = (string) preg_replace('/"(?:[^"\\\\]|\\\\.)*"/', '""', (string) file_get_contents($this->folder.'/all.i'));
        self::assertDoesNotMatchRegularExpression('/\bpwned\b/', $code);
    }

    #[DataProvider('seeds')]
    public function test_every_other_file_is_read_as_what_it_is(int $seed): void
    {
        $plan = self::hostile($seed);
        $files = [];
        foreach ($plan->nodes() as $at => $node) {
            $made = ['wiring.csv' => WiringTable::of($plan, $node, self::knowledge())->csv(), 'parts.csv' => PartsList::of($plan, self::knowledge(), $node)->csv()];
            foreach (Artefacts::of($plan, $node, self::knowledge()) as $artefact) {
                self::assertMatchesRegularExpression('/^[a-z0-9][a-z0-9_.-]*\.(csv|dbc|txt|toml|json|jsonld|h|svg)$/D', $artefact->fileName);
                $made[$artefact->key.'-'.$artefact->fileName] = $artefact->content;
            }
            foreach ($made as $name => $content) {
                file_put_contents("{$this->folder}/{$at}-{$name}", $content);
                $files[] = "{$at}-{$name}";
            }
        }
        file_put_contents($this->folder.'/all-parts.csv', PartsList::of($plan, self::knowledge(), null)->csv());
        $files[] = 'all-parts.csv';
        file_put_contents($this->folder.'/reader.py', self::READER);
        $this->execute(['python3', 'reader.py', ...$files]);
        $drawing = new DOMDocument;
        self::assertTrue($drawing->loadXML(LineMapDrawing::toPrint($plan, self::knowledge()->media)));
        self::assertSame(0, $drawing->getElementsByTagName('script')->length);
    }

    private static function hostile(int $seed): Plan
    {
        return (new HostilePlans($seed, self::knowledge()))->of($seed % 2 === 0 ? self::faulty() : self::linden());
    }

    /** @return string a source that holds all the headers */
    private static function including(int $count, string $folder): string
    {
        file_put_contents($folder.'/all.c', implode("\n", array_map(static fn (int $at): string => "#include \"{$at}.h\"", range(0, $count - 1)))."\n");

        return 'all.c';
    }

    /** @param  list<string>  $command */
    private function execute(array $command): string
    {
        $run = new Process($command, $this->folder, timeout: 120);
        $run->run();
        self::assertSame(0, $run->getExitCode(), $run->getErrorOutput());

        return $run->getOutput();
    }
}
