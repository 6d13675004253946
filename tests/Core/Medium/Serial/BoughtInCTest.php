<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Edit\Editor;
use Rundfunk\Medium\Serial\Bought\Commanding;
use Rundfunk\Medium\Serial\Bought\StandIn;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\SerialMessages;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Rehearsal\Event;
use Tests\Core\CoreTestCase;

/** The C that commands bought devices does what its twin does, byte for byte: on the host under a sanitizer, and on an 8-bit board's simulator. */
final class BoughtInCTest extends CoreTestCase
{
    use RunsLines;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function protocols(): iterable
    {
        foreach (Devices::protocols() as $name => $protocol) {
            yield $name => [$protocol];
        }
    }

    /** @param  array<string, mixed>  $protocol */
    #[DataProvider('protocols')]
    public function test_it_does_as_its_twin(array $protocol): void
    {
        $plan = Devices::line(self::sketch(), $protocol)->plan();
        $node = $plan->nodes()[0];
        file_put_contents("{$this->folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $node));
        file_put_contents("{$this->folder}/behaviour.h", (string) preg_replace('/#include "[^"]+"/', '#include "node.h"', BehaviourFiles::of($plan, $node, self::knowledge())[0]->content));
        $tables = Tables::of($plan, SerialLine::of($plan, $plan->links()[0]), new MessageNumbers($plan, self::knowledge()->media));
        self::assertNotNull($tables);
        $shows = 'case \'v\': printf("v"); for (i = 0; i < LINE_SLOTS; i++) { printf(" %ld", (long)line_value(&line, i)); } printf("\\n"); break;';

        [$steps, $expected] = $this->recorded($plan, $tables, 5_000, 21);
        file_put_contents("{$this->folder}/main.c", $this->program($steps, '', 0, 'LINE_BYTES_MOST', $shows));
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-fno-sanitize-recover', '-o', 'main', 'main.c');
        self::assertSame($expected, trim($this->execute('./main')));
        self::assertGreaterThan(60, substr_count($expected, "\no "));

        [$steps, $expected] = $this->recorded($plan, $tables, 260, 22);
        $bytes = (new SerialMessages)->memoryBytes($plan, $plan->endpointsOn($plan->links()[0])[0], new MessageNumbers($plan, self::knowledge()->media));
        file_put_contents("{$this->folder}/board.c", $this->program($steps, 'BOARD', $bytes, 'LINE_BYTES_MOST', $shows));
        $said = (new SerialMessages)->programBytes($plan, $plan->endpointsOn($plan->links()[0])[0], new MessageNumbers($plan, self::knowledge()->media));
        self::assertEqualsWithDelta($this->programBytes('LINE_BYTES_MOST'), $said, 0.2 * $said);
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-DBOARD', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c');
        preg_match_all('/o [0-9a-f]+|t [01]|g \d+|h \d+ \d+ -?\d+|v(?: -?\d+)+/', (string) preg_replace('/\e\[[0-9;]*m/', '', $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf')), $said);
        self::assertSame($expected, implode("\n", $said[0]));
    }

    /**
     * A display is only told, a card reader only heard.
     *
     * @param  array<string, mixed>  $protocol
     */
    #[DataProvider('protocols')]
    public function test_what_uses_only_some_of_it_compiles_as_clean(array $protocol): void
    {
        $whole = Devices::line(self::sketch(), $protocol)->plan();
        $uses = ['told' => ['Lamp'], 'heard' => ['Card'], 'read' => ['Warmth'], 'told what takes time' => ['Go']];
        foreach ($uses as $what => $names) {
            $unused = array_filter(
                [...$whole->outputs(), ...$whole->controls()],
                static fn (Output|Control $one): bool => in_array($one->kind, [OutputKind::Function, ControlKind::Reading, ControlKind::Key], true) && ! in_array($one->name, $names, true),
            );
            $plan = (new Editor(self::knowledge()))->apply($whole, array_map(static fn (Output|Control $one): Operation => Operation::remove($one::kind(), $one->id), array_values($unused)))->plan;
            $node = $plan->nodes()[0];
            file_put_contents("{$this->folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $node));
            file_put_contents("{$this->folder}/behaviour.h", (string) preg_replace('/#include "[^"]+"/', '#include "node.h"', BehaviourFiles::of($plan, $node, self::knowledge())[0]->content));
            file_put_contents("{$this->folder}/main.c", $this->program([['s', 1, 0, 0, 0], ['t', 2, 2, 1, 1], ['g', 3, 0, 0, 0]], '', 0, 'LINE_BYTES_MOST'));
            foreach ([['gcc', '-pedantic'], ['avr-gcc', '-mmcu=avr5']] as $compiler) {
                $this->execute(...$compiler, ...['-std=c99', '-Wall', '-Wextra', '-Werror', '-Os', '-c', 'main.c']);
            }
            self::assertStringContainsString('line_step', (string) file_get_contents("{$this->folder}/behaviour.h"), $what);
        }
        // A board that is wired before anything is asked of it has nothing to run yet.
        $plan = (new Editor(self::knowledge()))->apply($whole, array_map(static fn (Output|Control $one): Operation => Operation::remove($one::kind(), $one->id), [...$whole->outputs(), ...$whole->controls()]))->plan;
        self::assertNull(Tables::of($plan, SerialLine::of($plan, $plan->links()[0]), new MessageNumbers($plan, self::knowledge()->media)));
    }

    public function test_no_text_of_a_protocol_becomes_code(): void
    {
        $hostile = ['*/int pwned;/*', 'P *\ int p;\ *', '"); system("x', "'%s%n", '??/', '\x00\xff', '#error no', '{l}_pwned', '\r\n#include', '??)??!'];
        foreach (['words', 'words with a check, ids as letters, bare answers'] as $kind) {
            $protocol = Devices::protocols()[$kind];
            foreach ($hostile as $at => $text) {
                $index = $at % count($protocol['items']);
                $protocol['items'][$index] = [...$protocol['items'][$index], 'word' => $text, 'answerWord' => $text];
                $protocol['items'][1]['sends'] = [['given' => true, 'on' => $text, 'off' => strrev($text)]];
                $protocol['items'][4]['name'] = $protocol['items'][0]['doneBy'] = $text;
                $plan = Devices::line(self::sketch(), [...$protocol, 'lead' => mb_substr($text, 0, 12), 'between' => mb_substr($text, 0, 4)])->plan();
                $node = $plan->nodes()[0];
                file_put_contents("{$this->folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $node));
                file_put_contents("{$this->folder}/behaviour.h", (string) preg_replace('/#include "[^"]+"/', '#include "node.h"', BehaviourFiles::of($plan, $node, self::knowledge())[0]->content));
                file_put_contents("{$this->folder}/main.c", $this->program([['s', 1, 0, 0, 0], ['t', 2, 2, 1, 1], ['g', 3, 0, 0, 0]], '', 0, 'LINE_BYTES_MOST'));
                $this->execute('gcc', '-std=c99', '-trigraphs', '-Wall', '-Wextra', '-Werror', '-Wno-unused-function', '-fsyntax-only', 'main.c');
                self::assertStringNotContainsString('pwned;', (string) preg_replace('~/\*.*?\*/~s', '', (string) file_get_contents("{$this->folder}/behaviour.h")), $text);
            }
        }
    }

    /**
     * A run with two devices on a bad cable, one of which dies on the way, as the board lives it.
     *
     * @return array{list<array{string, int, int, int, int}>, string}
     */
    private function recorded(Plan $plan, Tables $tables, int $most, int $seed): array
    {
        $line = SerialLine::of($plan, $plan->links()[0]);
        $commanding = new Commanding($tables, $line);
        $watched = new Watched($commanding, 1);
        $devices = array_map(static fn (int $id): StandIn => new StandIn($tables->protocol, $id, new Randomizer(new Mt19937($seed + $id))), [3, 4]);
        mt_srand($seed);
        $nowMs = 0;
        $coming = [];
        while (count($watched->steps) < $most) {
            $nowMs += mt_rand(1, 4);
            usort($coming, static fn (array $one, array $other): int => $one[0] <=> $other[0]);
            while ($coming !== [] && $coming[0][0] <= $nowMs) {
                foreach (str_split(array_shift($coming)[1]) as $byte) {
                    // One byte of a hundred is turned.
                    $watched->byte(mt_rand(0, 99) === 0 ? ord($byte) ^ 1 << mt_rand(0, 7) : ord($byte), $nowMs);
                }
                $watched->steps[] = ['v', 0, 0, 0, 0];
                $watched->said[] = 'v '.implode(' ', array_map($commanding->value(...), array_keys($tables->slots)));
            }
            $bytes = $watched->step($nowMs);
            foreach ($devices as $device) {
                foreach ($device->react(1_000_000 * $nowMs, Event::bytes($bytes)) as $scheduled) {
                    $coming[] = [(int) ceil($scheduled->atNs / 1e6), $scheduled->event->bytes];
                }
            }
            if (mt_rand(0, 60) === 0) {
                $coming[] = [$nowMs + 1, $devices[mt_rand(0, 1)]->says('Card', mt_rand(0, 65_000))];
            }
            foreach ($devices as $device) {
                $device->reads['Warmth'] = mt_rand(-1_000, 1_000);
            }
            if (mt_rand(0, 9) === 0) {
                $order = $tables->orders[mt_rand(0, count($tables->orders) - 1)];
                $watched->tell(new LineMessage($tables->devices[$order->device]->number, $order->code, mt_rand(-1_200, 1_200)), $nowMs);
            }
            if (mt_rand(0, 20) === 0) {
                $watched->gone();
            }
            if (count($watched->steps) > $most / 2) {
                $devices[1]->die();
            }
        }

        return [$watched->steps, implode("\n", $watched->said)];
    }
}
