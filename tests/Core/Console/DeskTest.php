<?php

declare(strict_types=1);

namespace Tests\Core\Console;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\CHeader;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Rundfunk\Shipped;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The command line as a user runs it: exit codes, standard output and standard error. */
final class DeskTest extends CoreTestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-desk-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        file_put_contents($this->folder.'/linden.json', (new PlanWriter)->write(self::linden()));
        file_put_contents($this->folder.'/faulty.json', (new PlanWriter)->write(self::faulty()));
        file_put_contents($this->folder.'/cut.json', '{"format": 1, "plan": {');
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    /** @return array{int, string, string} */
    private function rundfunk(string ...$arguments): array
    {
        $process = new Process([PHP_BINARY, dirname(__DIR__, 3).'/bin/rundfunk', ...$arguments], $this->folder);
        $process->run();

        return [$process->getExitCode() ?? -1, $process->getOutput(), $process->getErrorOutput()];
    }

    public function test_keys_are_drawn_and_those_that_were_drawn_before_are_kept(): void
    {
        $sketch = self::pair()->link('air', 'Yard air', 'packet-radio', ['proven' => true])->join('air', 'hand', Role::Sends)->join('air', 'board', Role::Receives);
        file_put_contents($this->folder.'/one.json', (new PlanWriter)->write($sketch->plan()));
        [$code, $first] = $this->rundfunk('secrets', 'one.json');
        self::assertSame(0, $code);
        self::assertMatchesRegularExpression('/^#define YARD_AIR_KEY \{ (0x[0-9a-f]{2}, ){15}0x[0-9a-f]{2} \}$/m', $first);
        self::assertNotSame($first, $this->rundfunk('secrets', 'one.json')[1], 'drawn anew');
        file_put_contents($this->folder.'/secrets.h', $first);
        self::assertSame($first, $this->rundfunk('secrets', 'one.json', '--keep=secrets.h')[1]);
        // Another link that proves itself gets a key of its own, a link that does not gets none.
        $sketch->link('far', 'Far air', 'packet-radio', ['proven' => true])->join('far', 'hand', Role::Sends)->link('open', 'Open air', 'packet-radio')->join('open', 'hand', Role::Sends);
        file_put_contents($this->folder.'/two.json', (new PlanWriter)->write($sketch->plan()));
        $second = $this->rundfunk('secrets', 'two.json', '--keep=secrets.h')[1];
        preg_match_all('/^#define (\w+_KEY) (.*)$/m', $first.$second, $keys);
        self::assertSame(['YARD_AIR_KEY', 'YARD_AIR_KEY', 'FAR_AIR_KEY'], $keys[1]);
        self::assertSame($keys[2][0], $keys[2][1]);
        self::assertNotSame($keys[2][1], $keys[2][2]);
        // Two links of one name: at one node it is the first so called, at another the second, and yet each has one key.
        $twins = self::pair()->node('third', 'Third', NodeKind::Controller, null, '8bit-5v-20io')
            ->link('one', 'Air', 'packet-radio', ['proven' => true, 'payloadBytes' => 13])->join('one', 'hand', Role::Sends)->join('one', 'board', Role::Receives)
            ->link('two', 'Air', 'packet-radio', ['proven' => true, 'payloadBytes' => 13])->join('two', 'hand', Role::Sends)->join('two', 'third', Role::Receives)->plan();
        file_put_contents($this->folder.'/twins.json', (new PlanWriter)->write($twins));
        preg_match_all('/^#define (\w+) /m', $this->rundfunk('secrets', 'twins.json')[1], $drawn);
        $used = static function (string $name) use ($twins): array {
            $node = array_values(array_filter($twins->nodes(), static fn (Node $node): bool => $node->name === $name))[0];
            preg_match_all('/^static const uint8_t \w+\[16\] = (\w+);$/m', (new CHeader(self::knowledge()))->write($twins, $node), $keys);

            return $keys[1];
        };
        self::assertSame(['AIR_KEY', 'AIR_2_KEY'], $drawn[1]);
        self::assertSame([['AIR_KEY', 'AIR_2_KEY'], ['AIR_KEY'], ['AIR_2_KEY']], [$used('Hand'), $used('Board'), $used('Third')]);
        self::assertSame([2, '', "nowhere.h cannot be read.\n"], $this->rundfunk('secrets', 'one.json', '--keep=nowhere.h'));
    }

    public function test_check_exits_by_the_gravest_finding(): void
    {
        self::assertSame(0, $this->rundfunk('check', 'linden.json')[0]);
        self::assertSame(0, $this->rundfunk('check', 'linden.json', '--fail-on=warning')[0]);
        self::assertSame(1, $this->rundfunk('check', 'faulty.json')[0]);
        self::assertSame(1, $this->rundfunk('check', 'faulty.json', '--fail-on=danger')[0]);
        file_put_contents($this->folder.'/mild.json', (new PlanWriter)->write(self::pair()->plan()));
        self::assertSame(1, $this->rundfunk('check', 'mild.json', '--fail-on=warning')[0]);
        self::assertSame(0, $this->rundfunk('check', 'mild.json', '--fail-on=danger')[0]);
    }

    public function test_check_prints_the_findings_as_json(): void
    {
        [, $output] = $this->rundfunk('check', 'faulty.json', '--format=json');
        $findings = json_decode($output, true, 16, JSON_THROW_ON_ERROR)['findings'];
        self::assertCount(count(self::checker()->check(self::faulty())->all()), $findings);
        foreach (['rule', 'severity', 'title', 'at', 'numbers', 'detail', 'remedy'] as $key) {
            self::assertArrayHasKey($key, $findings[0]);
        }
    }

    public function test_assign_writes_a_plan_with_less_to_find(): void
    {
        [$code, $output] = $this->rundfunk('assign', 'faulty.json', '--out', 'better.json', '--format=json');
        self::assertSame(0, $code);
        self::assertNotSame([], json_decode($output, true, 32, JSON_THROW_ON_ERROR)['proposals']);
        $better = (new PlanReader(self::knowledge()))->read((string) file_get_contents($this->folder.'/better.json'));
        $checker = self::checker();
        self::assertLessThan(count($checker->check(self::faulty())->all()), count($checker->check($better)->all()));
    }

    public function test_export_prints_a_header_and_a_wiring_table(): void
    {
        $node = self::linden()->nodes()[0]->id;
        self::assertStringContainsString('#ifndef RUNDFUNK_POCKET_A_H', $this->rundfunk('export', 'linden.json', "--node={$node}", '--format=c-header')[1]);
        self::assertStringStartsWith('<?xml version="1.0" encoding="UTF-8"?>'."\n<svg", $this->rundfunk('export', 'linden.json', '--format=line-map-svg')[1]);
        self::assertStringContainsString('#ifndef RUNDFUNK_POCKET_A_H', $this->rundfunk('export', 'linden.json', '--node=pocket a', '--format=c-header')[1]);
        self::assertStringStartsWith("module,terminal,pin,carries,level,note\r\n", $this->rundfunk('export', 'linden.json', "--node={$node}", '--format=wiring-csv')[1]);
    }

    /** @return iterable<string, array{list<string>, array<string, mixed>}> */
    public static function calculations(): iterable
    {
        // Data sheet of the class, from memory.
        yield 'airtime' => [
            ['packet-airtime', 'rate_kbps=250', 'address_bytes=5', 'payload_bytes=32', 'crc_bytes=2'],
            ['airtime_us' => 1316, 'ack_airtime_us' => 292],
        ];
        yield 'airtime with halves' => [
            ['packet-airtime', 'rate_kbps=2000', 'address_bytes=5', 'payload_bytes=32', 'crc_bytes=2'],
            ['airtime_us' => 164.5, 'ack_airtime_us' => 36.5],
        ];
        yield 'retry delay' => [
            ['packet-retry-delay', 'rate_kbps=250', 'address_bytes=5', 'ack_payload_bytes=0', 'crc_bytes=2'],
            ['minimum_us' => 500],
        ];
        yield 'frequency' => [['packet-frequency', 'channel=76'], ['freq_mhz' => 2476]];
        yield 'good address' => [['packet-address-quality', 'address=C2F19A4701'], ['poor' => false, 'reasons' => []]];
    }

    /**
     * @param  list<string>  $arguments
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('calculations')]
    public function test_calculators_print_json(array $arguments, array $expected): void
    {
        [$code, $output] = $this->rundfunk('calc', ...[...$arguments, '--json']);
        self::assertSame(0, $code);
        self::assertSame($expected, json_decode($output, true, 8, JSON_THROW_ON_ERROR));
    }

    public function test_calculators_are_listed(): void
    {
        $listed = json_decode($this->rundfunk('calc', '--list', '--json')[1], true, 8, JSON_THROW_ON_ERROR);
        $names = array_map(static fn (Calculator $one): string => $one->name(), Shipped::calculators()->all());
        self::assertSame($names, array_column($listed, 'name'));
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function bad(): iterable
    {
        yield 'no such file' => [['check', 'nothing.json'], 'no file "nothing.json"'];
        yield 'cut short' => [['check', 'cut.json'], 'cut short'];
        yield 'bad format' => [['check', 'linden.json', '--format=xml'], '--format must be one of'];
        yield 'bad level' => [['check', 'linden.json', '--fail-on=never'], '--fail-on must be one of'];
        yield 'no such command' => [['dance'], 'dance'];
        yield 'no such node' => [['export', 'linden.json', '--node=X', '--format=c-header'], 'There is no node "X". There are: Pocket A, '];
        yield 'no node' => [['export', 'linden.json', '--format=c-header'], '--node is needed'];
        yield 'no such calculator' => [['calc', 'magic'], 'no calculator "magic"'];
        yield 'missing input' => [['calc', 'packet-frequency'], 'packet-frequency needs channel'];
        yield 'unknown input' => [['calc', 'packet-frequency', 'chanel=3', 'channel=3'], 'takes no "chanel"'];
        yield 'not a number' => [['calc', 'packet-frequency', 'channel=three'], 'must be a whole number'];
        yield 'out of range' => [['calc', 'packet-frequency', 'channel=126'], 'must be from 0 to 125'];
        yield 'not a pair' => [['calc', 'packet-frequency', 'channel'], 'not of the form key=value'];
        yield 'no such rate' => [
            ['calc', 'packet-airtime', 'rate_kbps=500', 'address_bytes=5', 'payload_bytes=32', 'crc_bytes=2'],
            'rate_kbps must be 250, 1000 or 2000',
        ];
        yield 'unwritable' => [['assign', 'linden.json', '--out', '/nowhere/x.json'], 'cannot be written'];
    }

    /** @param  list<string>  $arguments */
    #[DataProvider('bad')]
    public function test_bad_input_exits_2_with_a_message_on_standard_error(array $arguments, string $message): void
    {
        [$code, $output, $errors] = $this->rundfunk(...$arguments);
        self::assertSame(2, $code);
        self::assertStringContainsString($message, $errors);
        self::assertStringNotContainsString('#0', $errors.$output);
    }

    public function test_a_recording_is_looked_through_and_written_in_another_form(): void
    {
        foreach (['before' => 0, 'after' => 4] as $name => $bit) {
            file_put_contents($this->folder."/{$name}.json", implode("\n", array_map(static fn (int $frame): string => sprintf('(1700000000.%06d) can0 2A1#0%d%02X', 10_000 * $frame, $bit, $frame), range(0, 60))));
        }
        [$code, $text] = $this->rundfunk('hear', 'before.json', '--after=after.json');
        self::assertSame(0, $code);
        self::assertStringContainsString('2A1 byte 0 bit 2: 0 in all 61 before, 1 in all 61 after', $text);
        $shown = json_decode($this->rundfunk('hear', 'before.json', '--after=after.json', '--format=json')[1], true, 16, JSON_THROW_ON_ERROR);
        self::assertIsArray($shown);
        self::assertSame(2, $shown['found'][0]['place']);
        file_put_contents($this->folder.'/other.json', $this->rundfunk('hear', 'before.json', '--format=asc')[1]);
        self::assertSame($this->rundfunk('hear', 'before.json')[1], $this->rundfunk('hear', 'other.json')[1]);
        self::assertSame([2, '', "There is no file \"nowhere\" that can be read.\n"], $this->rundfunk('hear', 'nowhere'));
        self::assertSame(2, $this->rundfunk('hear', 'cut.json')[0]);
    }
}
