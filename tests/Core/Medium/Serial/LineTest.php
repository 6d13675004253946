<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Frame\Checksum;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\Line\Answering;
use Rundfunk\Medium\Serial\Line\Asking;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\Line\Telling;
use Rundfunk\Medium\Serial\Parity;
use Rundfunk\Medium\Serial\Returning;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Tests\Core\CoreTestCase;

/** The laws of a line: what is told is heard once, in its order, whatever the cable does to the bytes. */
final class LineTest extends CoreTestCase
{
    public static function settings(Topology $topology, int $missedMost = 20, Checksum $check = Checksum::Crc32): SerialSettings
    {
        return new SerialSettings(Levels::Rs485, $topology, 38_400, Parity::None, 1, $check, Returning::Joined, 1, 1, 10, $missedMost, null);
    }

    /** @return array{list<LineEnd>, string} */
    private static function bus(int $boxes, int $missedMost = 20): array
    {
        $settings = self::settings(Topology::Polled, $missedMost);
        $ids = range(2, $boxes + 1);

        return [[new Asking($settings, 1, array_fill_keys($ids, 0), 12, 3), ...array_map(static fn (int $id): Answering => new Answering($settings, $id, true, array_values(array_diff([1, ...$ids], [$id])), 2_000), $ids)], 'bus'];
    }

    /** @return array{list<LineEnd>, string} */
    private static function ring(int $count, int $missedMost = 20): array
    {
        $settings = self::settings($count === 2 ? Topology::Pair : Topology::Ring, $missedMost);
        $ids = range(1, $count);

        return [array_map(static fn (int $id): Telling => new Telling($settings, $id, array_fill_keys(array_diff($ids, [$id]), 0), 30, true), $ids), 'ring'];
    }

    /** @return iterable<string, array{string, int, float}> form, ends, share of harmed bytes */
    public static function cables(): iterable
    {
        foreach (['bus' => [2, 3, 5], 'ring' => [2, 3, 5]] as $form => $counts) {
            foreach ($counts as $count) {
                foreach ([0.0, 0.005, 0.02] as $harm) {
                    yield "{$form} of {$count}, ".(100 * $harm).' % harmed' => [$form, $count, $harm];
                }
            }
        }
    }

    #[DataProvider('cables')]
    public function test_what_is_told_is_heard_once_and_in_its_order(string $form, int $count, float $harm): void
    {
        foreach ([1, 2] as $seed) {
            [$ends, $shape] = $form === 'bus' ? self::bus($count - 1) : self::ring($count);
            $wires = new Wires($ends, $shape, $harm, $seed);
            $wires->run(60, 5);
            $told = [];
            for ($number = 1; $number <= 60; $number++) {
                $from = ($number + $seed) % $count;
                $to = ($from + 1 + $number % ($count - 1)) % $count;
                $message = new LineMessage($to + 1, $number, 1_000 * $seed - $number);
                if ($ends[$from]->tell($message, $wires->nowMs())) {
                    $told["{$from} {$to}"][] = [$from + 1, $number, $message->argument];
                }
                $wires->run(12, 5);
            }
            $wires->heal();
            $wires->run(250, 5);
            $heard = [];
            foreach ($wires->heard as [$to, , $message]) {
                $heard[($message->id - 1)." {$to}"][] = [$message->id, $message->code, $message->argument];
            }
            ksort($told);
            ksort($heard);
            self::assertGreaterThan(40, count(array_merge(...array_values($told))));
            self::assertSame($told, $heard, "seed {$seed}");
        }
    }

    public function test_noise_alone_is_never_a_message(): void
    {
        foreach ([self::bus(3), self::ring(4)] as [$ends, $shape]) {
            $wires = new Wires($ends, $shape, 0.0, 1);
            $wires->run(100, 5);
            mt_srand(7);
            for ($burst = 0; $burst < 400; $burst++) {
                $wires->disturb(array_map(static fn (): int => mt_rand(0, 3) === 0 ? 0xA5 : mt_rand(0, 255), range(1, 40)));
                $wires->run(3, 5);
            }
            self::assertSame([], $wires->heard);
        }
    }

    public function test_a_box_that_nobody_asks_any_more_knows_nothing_of_the_others(): void
    {
        $settings = self::settings(Topology::Polled, 3);
        $box = new Answering($settings, 3, false, [1, 2], 500);
        $asker = new Asking($settings, 1, [2 => 0, 3 => 0], 12, 3);
        $box->step(10_000);
        self::assertNull($box->gone(), 'Nobody has begun yet.');
        $wires = new Wires([$asker, $box], 'bus', 0.0, 1);
        $wires->run(200, 1);
        self::assertNull($box->gone());
        $last = $wires->nowMs();
        $box->step($last + 400);
        self::assertNull($box->gone(), 'It may yet come.');
        $box->step($last + 600);
        $gone = [];
        while (($one = $box->gone()) !== null) {
            $gone[] = $one;
        }
        self::assertSame([1, 2], $gone, 'Whoever asked, and who speaks through it.');
        $box->step($last + 2_000);
        self::assertNull($box->gone(), 'It is said once.');
    }

    public function test_a_dead_box_is_unknown_after_what_it_may_miss_and_what_waited_for_it_is_gone(): void
    {
        [$ends] = self::bus(2, missedMost: 3);
        [$asker, $first] = [$ends[0], $ends[1]];
        assert($asker instanceof Asking);
        $wires = new Wires([$asker, $first], 'bus', 0.0, 1);
        $wires->run(100, 5);
        self::assertTrue($asker->knows(2));
        self::assertFalse($asker->knows(3));
        self::assertSame([3, null], [$asker->gone(), $asker->gone()], 'Once, when it stops.');
        self::assertTrue($asker->tell(new LineMessage(3, 9, 0), $wires->nowMs()));
        self::assertTrue($asker->tell(new LineMessage(2, 8, 0), $wires->nowMs()));
        $wires->run(60, 5);
        // The other is heard all the same.
        self::assertSame([8], array_map(static fn (array $one): int => $one[2]->code, $wires->heard));
        $revived = new Wires([$asker, $first, $ends[2]], 'bus', 0.0, 1);
        $revived->run(200, 5);
        self::assertTrue($asker->knows(3));
        self::assertSame([], $revived->heard, 'What was dropped comes no more.');
    }

    public function test_a_box_that_restarts_is_begun_with_anew_and_told_nothing_twice(): void
    {
        $settings = self::settings(Topology::Polled);
        $asker = new Asking($settings, 1, [2 => 0], 12, 3);
        $wires = new Wires([$asker, new Answering($settings, 2, false, [1], 2_000)], 'bus', 0.0, 1);
        $wires->run(20, 5);
        $asker->tell(new LineMessage(2, 5, 1), $wires->nowMs());
        $wires->run(20, 5);
        self::assertCount(1, $wires->heard);
        $box = new Answering($settings, 2, false, [1], 2_000);
        $again = new Wires([$asker, $box], 'bus', 0.0, 1);
        $box->tell(new LineMessage(1, 7, 2), 0);
        $again->run(60, 5);
        self::assertSame([[0, 7]], array_map(static fn (array $one): array => [$one[0], $one[2]->code], $again->heard));
    }

    public function test_all_hear_what_goes_to_everybody_once(): void
    {
        [$ends] = self::bus(3);
        $wires = new Wires($ends, 'bus', 0.0, 1);
        $wires->run(100, 5);
        $ends[0]->tell(new LineMessage(0, 42, 1), $wires->nowMs());
        $ends[1]->tell(new LineMessage(3, 43, 1), $wires->nowMs());
        $wires->run(100, 5);
        $heard = array_map(static fn (array $one): array => [$one[0], $one[2]->id, $one[2]->code], $wires->heard);
        sort($heard);
        self::assertSame([[1, 1, 42], [2, 1, 42], [2, 2, 43], [3, 1, 42]], $heard, 'And what one box has for another is handed on, in its name.');
    }

    public function test_what_takes_its_time_is_not_told_the_same_before_it_can_be_there(): void
    {
        $settings = self::settings(Topology::Polled);
        $asker = new Asking($settings, 1, [2 => 1_000], 12, 3);
        $wires = new Wires([$asker, new Answering($settings, 2, false, [1], 2_000)], 'bus', 0.0, 1);
        $wires->run(20, 5);
        foreach ([5, 5, 6, 5] as $code) {
            self::assertTrue($asker->tell(new LineMessage(2, $code, 0), $wires->nowMs()));
            $wires->run(20, 5);
        }
        self::assertSame([5, 6, 5], array_map(static fn (array $one): int => $one[2]->code, $wires->heard), 'Stop goes through, and open again after it.');
        $wires->run(250, 5);
        $asker->tell(new LineMessage(2, 5, 0), $wires->nowMs());
        $wires->run(20, 5);
        self::assertCount(4, $wires->heard);
    }

    public function test_who_is_not_told_together_with_others_leaves_what_goes_to_everybody(): void
    {
        $bus = self::settings(Topology::Polled);
        $ring = self::settings(Topology::Ring);
        $rest = static fn (int $own): array => array_fill_keys(array_diff([1, 2, 3], [$own]), 0);
        foreach ([
            [new Asking($bus, 1, [2 => 0, 3 => 0], 12, 3), new Answering($bus, 2, true, [1, 3], 2_000), new Answering($bus, 3, false, [1, 2], 2_000), 'bus'],
            [new Telling($ring, 1, $rest(1), 30, false), new Telling($ring, 2, $rest(2), 30, true), new Telling($ring, 3, $rest(3), 30, false), 'ring'],
        ] as [$first, $marked, $other, $form]) {
            $wires = new Wires([$first, $marked, $other], $form, 0.0, 1);
            $wires->run(100, 5);
            $first->tell(new LineMessage(0, 42, 1), $wires->nowMs());
            $wires->run(60, 5);
            $marked->tell(new LineMessage(0, 43, 1), $wires->nowMs());
            $wires->run(60, 5);
            $first->tell(new LineMessage(3, 44, 1), $wires->nowMs());
            $wires->run(60, 5);
            self::assertSame([[1, 42], [2, 44]], array_map(static fn (array $one): array => [$one[0], $one[2]->code], $wires->heard), "{$form}: nor does it hear itself.");
        }
    }

    public function test_what_was_dropped_is_told_again_however_soon(): void
    {
        $settings = self::settings(Topology::Polled, 3);
        $ring = self::settings(Topology::Pair, 3);
        foreach ([
            [new Asking($settings, 1, [2 => 60_000], 12, 3), static fn (): LineEnd => new Answering($settings, 2, false, [1], 2_000), 'bus'],
            [new Telling($ring, 1, [2 => 60_000], 30, false), static fn (): LineEnd => new Telling($ring, 2, [1 => 0], 30, false), 'ring'],
        ] as [$first, $another, $form]) {
            $wires = new Wires([$first, $another()], $form, 0.0, 1);
            $wires->run(60, 5);
            // The cable is off: what is told meanwhile is dropped with the box.
            for ($step = 0; $step < 200; $step++) {
                $first->step($wires->nowMs() + 5 * $step);
                if ($step === 50) {
                    $first->tell(new LineMessage(2, 5, 0), $wires->nowMs() + 5 * $step);
                }
            }
            self::assertSame(2, $first->gone(), $form);
            $again = new Wires([$first, $another()], $form, 0.0, 1);
            $again->run(400, 5);
            $first->tell(new LineMessage(2, 5, 0), $again->nowMs());
            $first->tell(new LineMessage(2, 5, 0), $again->nowMs());
            $again->run(60, 5);
            self::assertSame([5], array_map(static fn (array $one): int => $one[2]->code, $again->heard), "{$form}: once, and it did not count as told before.");
        }
    }

    public function test_what_one_box_has_for_another_finds_a_place_however_much_there_is_to_tell(): void
    {
        [[$asker, $second, $third]] = self::bus(2);
        $told = ['1 2' => 0, '2 3' => 0];
        $heard = ['1 2' => 0, '2 3' => 0];
        for ($nowMs = 5; $nowMs < 5_000; $nowMs += 5) {
            $said = $asker->step($nowMs);
            foreach ([[$second, 2], [$third, 3]] as [$box, $id]) {
                foreach ($said === '' ? [] : str_split($said) as $byte) {
                    $message = $box->byte(ord($byte), $nowMs);
                    if ($message !== null) {
                        $heard["{$message->id} {$id}"]++;
                    }
                }
            }
            // Between a question and its answer the asker gets as much to tell as it takes.
            for ($number = 1; $nowMs < 3_000 && $asker->tell(new LineMessage(2, $number, $nowMs), $nowMs); $number++) {
                $told['1 2']++;
            }
            $told['2 3'] += $nowMs < 3_000 && $second->tell(new LineMessage(3, 9, $nowMs), $nowMs) ? 1 : 0;
            foreach ([$second, $third] as $box) {
                $answer = $box->step($nowMs);
                foreach ($answer === '' ? [] : str_split($answer) as $byte) {
                    $asker->byte(ord($byte), $nowMs);
                }
            }
        }
        self::assertGreaterThan(100, $told['2 3']);
        self::assertSame($told, $heard);
    }

    public function test_a_number_that_comes_around_is_not_taken_for_the_one_before(): void
    {
        [$ends] = self::ring(3);
        $wires = new Wires($ends, 'ring', 0.0, 1);
        $wires->run(60, 5);
        // To one, 254 to the other, and to the first again: with the number that the first had.
        foreach ([2, ...array_fill(0, 254, 3), 2] as $to) {
            self::assertTrue($ends[0]->tell(new LineMessage($to, 7, 0), $wires->nowMs()));
            $wires->run(4, 5);
        }
        $wires->run(60, 5);
        self::assertCount(2, array_filter($wires->heard, static fn (array $one): bool => $one[0] === 1));
    }

    public function test_a_dead_node_opens_the_ring(): void
    {
        [$ends] = self::ring(3, missedMost: 3);
        $wires = new Wires($ends, 'ring', 0.0, 1);
        $wires->run(60, 5);
        // Without the second, the third hears nothing of the first: their wire goes nowhere.
        $dead = new class implements LineEnd
        {
            public function byte(int $byte, int $nowMs): ?LineMessage
            {
                return null;
            }

            public function tell(LineMessage $message, int $nowMs): bool
            {
                return false;
            }

            public function gone(): ?int
            {
                return null;
            }

            public function step(int $nowMs): string
            {
                return '';
            }
        };
        $open = new Wires([$ends[0], $dead, $ends[2]], 'ring', 0.0, 1);
        $ends[0]->tell(new LineMessage(3, 9, 0), 300);
        $ends[2]->tell(new LineMessage(1, 8, 0), 300);
        $open->run(200, 5);
        self::assertSame([[0, 8]], array_map(static fn (array $one): array => [$one[0], $one[2]->code], $open->heard));
    }
}
