<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use Rundfunk\Medium\Can\Find\Candidate;
use Rundfunk\Medium\Can\Find\FindsBit;
use Rundfunk\Medium\Can\Find\Heard;
use Rundfunk\Medium\Can\Recording;
use Tests\Core\CoreTestCase;

/** A bit that somebody turned is found among all that turns by itself. The recordings are made up. */
final class FindBitTest extends CoreTestCase
{
    private const TRIES = 200;

    /** @param  list<Candidate>  $found */
    private static function isFirst(MadeRecordings $bus, array $found): bool
    {
        return $found !== [] && $found[0]->id === $bus->id && $found[0]->place === $bus->place;
    }

    public function test_by_two_recordings_it_is_first_in_nineteen_of_twenty(): void
    {
        $first = 0;
        for ($seed = 1; $seed <= self::TRIES; $seed++) {
            $bus = new MadeRecordings($seed);
            $before = $bus->record(6_000_000, static fn (): bool => false);
            $after = $bus->record(6_000_000, static fn (): bool => true);
            $found = FindsBit::between($before, $after);
            $first += self::isFirst($bus, $found) ? 1 : 0;
            if (self::isFirst($bus, $found)) {
                self::assertTrue($found[0]->value);
            }
        }
        self::assertGreaterThanOrEqual(0.95 * self::TRIES, $first);
    }

    public function test_by_marks_it_is_first_in_nineteen_of_twenty(): void
    {
        $first = 0;
        for ($seed = 1; $seed <= self::TRIES / 2; $seed++) {
            $bus = new MadeRecordings(1_000 + $seed);
            $turns = [];
            for ($us = 3_000_000; $us < 27_000_000; $us += $bus->chance()->getInt(3_500_000, 5_500_000)) {
                $turns[] = $us;
            }
            // Whoever records is late, or early.
            $marks = array_map(static fn (int $us): int => $us + $bus->chance()->getInt(-600_000, 500_000), $turns);
            $found = FindsBit::atMarks($bus->record(30_000_000, static fn (int $us): bool => count(array_filter($turns, static fn (int $turn): bool => $turn <= $us)) % 2 === 1, $marks));
            $first += self::isFirst($bus, $found) ? 1 : 0;
        }
        self::assertGreaterThanOrEqual(0.95 * self::TRIES / 2, $first);
    }

    public function test_by_how_often_it_was_done_it_is_among_the_first(): void
    {
        $among = 0;
        for ($seed = 1; $seed <= 60; $seed++) {
            $bus = new MadeRecordings(2_000 + $seed);
            $found = FindsBit::times($bus->record(30_000_000, static fn (int $us): bool => intdiv($us, 3_900_000) % 2 === 1), 7);
            $among += array_filter(array_slice($found, 0, 5), static fn (Candidate $one): bool => $one->id === $bus->id && $one->place === $bus->place) === [] ? 0 : 1;
        }
        self::assertGreaterThanOrEqual(54, $among);
    }

    public function test_two_recordings_of_the_same_say_nothing_for_sure(): void
    {
        $bus = new MadeRecordings(7);
        $found = FindsBit::between($bus->record(6_000_000, static fn (): bool => true), $bus->record(6_000_000, static fn (): bool => true));
        self::assertLessThan(0.5, $found[0]->score ?? 0.0);
    }

    public function test_what_an_identifier_does_is_counted(): void
    {
        $recording = new Recording([0, 100_000, 200_000, 301_000], [0x123, 0x123, 0x123, 0x123], ["\x01\x80", "\x00\x80", "\x01\x80", "\x01\x80"]);
        $heard = Heard::each($recording)[0x123];
        self::assertSame([4, 2, 100_000, [0 => 2]], [$heard->frames(), $heard->bytes, $heard->periodUs(), $heard->changes]);
        self::assertSame([0.75, 1.0, 0.0], [$heard->share(0), $heard->share(15), $heard->share(1)]);
        self::assertSame([100_000, 200_000], $heard->turnsUs[0]);
    }
}
