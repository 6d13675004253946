<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\CHeader;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\Line\Programs;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialMessages;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** The C of each kind of end does what its twin does, byte for byte: on the host under a sanitizer, and on an 8-bit board's simulator. */
final class LineInCTest extends CoreTestCase
{
    use RunsLines;

    /** @param  array<string, bool|float|int|string|null>  $settings */
    public static function plan(string $topology, int $count, array $settings): Plan
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['topology' => $topology, 'timeoutMs' => 25, ...$settings]);
        for ($number = 1; $number <= $count; $number++) {
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, '8bit-5v-70io')->module("w{$number}", "n{$number}", 'serial-wire', 'Line')
                ->join('l', "n{$number}", Role::Both, "w{$number}", ['station' => 10 * $number, 'asks' => $topology === 'polled' && $number === 1, 'restMs' => $number === 2 ? 400 : 0], $number === 3 ? ['broadcast'] : []);
        }

        return $sketch->plan();
    }

    /** @return iterable<string, array{string, int, int, array<string, bool|float|int|string|null>}> topology, ends, which of them, settings */
    public static function ends(): iterable
    {
        yield 'who asks, CRC-16/MODBUS' => ['polled', 4, 0, []];
        yield 'who asks, no check' => ['polled', 3, 0, ['check' => 'none', 'missedMost' => 2]];
        yield 'a box, CRC-16/XMODEM' => ['polled', 3, 1, ['check' => 'crc-16/xmodem']];
        yield 'a box, a sum' => ['polled', 3, 2, ['check' => 'sum-8']];
        yield 'one of two, CRC-8' => ['pair', 2, 0, ['check' => 'crc-8']];
        yield 'the other of two, CRC-32' => ['pair', 2, 1, ['check' => 'crc-32']];
        yield 'one of a ring, X-25' => ['ring', 4, 2, ['check' => 'crc-16/x-25']];
        yield 'another of a ring, exclusive or' => ['ring', 3, 0, ['check' => 'xor-8', 'missedMost' => 3]];
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    #[DataProvider('ends')]
    public function test_it_does_as_its_twin(string $topology, int $count, int $which, array $settings): void
    {
        $plan = self::plan($topology, $count, $settings);
        $link = $plan->links()[0];
        $node = $plan->nodes()[$which];
        file_put_contents("{$this->folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $node));
        $behaviour = BehaviourFiles::of($plan, $node, self::knowledge())[0]->content;
        file_put_contents("{$this->folder}/behaviour.h", (string) preg_replace('/#include "[^"]+"/', '#include "node.h"', $behaviour));
        [$steps, $expected] = $this->recorded($plan, $which, 2_500, 11);
        file_put_contents("{$this->folder}/main.c", $this->program($steps, ''));
        $this->execute('gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=address,undefined', '-fno-sanitize-recover', '-o', 'main', 'main.c');
        self::assertSame($expected, trim($this->execute('./main')), $link->name);
        self::assertGreaterThan(40, substr_count($expected, "\n"));

        [$steps, $expected] = $this->recorded($plan, $which, 260, 12);
        file_put_contents("{$this->folder}/board.c", $this->program($steps, 'BOARD', (new SerialMessages)->memoryBytes($plan, $plan->endpointsOn($link)[$which], new MessageNumbers($plan, self::knowledge()->media))));
        $said = (new SerialMessages)->programBytes($plan, $plan->endpointsOn($link)[$which], new MessageNumbers($plan, self::knowledge()->media));
        self::assertEqualsWithDelta($this->programBytes('LINE_FRAME_BYTES'), $said, 0.2 * $said);
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-Wall', '-Wextra', '-Werror', '-DBOARD', '-DF_CPU=16000000UL', '-o', 'board.elf', 'board.c');
        preg_match_all('/o [0-9a-f]+|t [01]|g \d+|h \d+ \d+ -?\d+/', (string) preg_replace('/\e\[[0-9;]*m/', '', $this->execute('simavr', '-m', 'atmega644', '-f', '16000000', 'board.elf')), $said);
        self::assertSame($expected, implode("\n", $said[0]));
    }

    /**
     * A run of all ends on a bad cable, as one of them lives it.
     *
     * @return array{list<array{string, int, int, int, int}>, string} what happens to it, and what it says
     */
    private function recorded(Plan $plan, int $which, int $most, int $seed): array
    {
        $programs = array_map(static fn (Endpoint $end): ?LineEnd => Programs::of($plan, $end, self::knowledge()->media), $plan->endpointsOn($plan->links()[0]));
        $ends = array_values(array_filter($programs));
        self::assertCount(count($programs), $ends);
        $watched = new Watched($ends[$which]);
        $ends[$which] = $watched;
        $wires = new Wires($ends, $plan->links()[0]->settings['topology'] === 'polled' ? 'bus' : 'ring', 0.01, $seed);
        mt_srand($seed);
        while (count($watched->steps) < $most) {
            $wires->run(mt_rand(1, 8), mt_rand(1, 9));
            $from = mt_rand(0, 2) === 0 ? mt_rand(0, count($ends) - 1) : $which;
            $to = mt_rand(0, count($ends) - 1);
            if (mt_rand(0, 40) === 0) {
                $wires->leaveAlone($which, 3_000);
            }
            $watched->gone();
            if ($to !== $from) {
                // The third is told together with others, by the id that goes to all.
                $ends[$from]->tell(new LineMessage($to === 2 ? SerialEnd::EVERYBODY : 10 * ($to + 1), mt_rand(1, 5), mt_rand(-300, 300)), $wires->nowMs());
            }
        }

        return [$watched->steps, implode("\n", $watched->said)];
    }
}
