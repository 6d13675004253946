<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Find;

use Rundfunk\Medium\Can\Recording;

/**
 * Which bit of a bus says what somebody did: by two recordings, before and after; by marks in one; or by how often it was done. What counts,
 * checks or flickers is told from what turned because of that.
 */
final readonly class FindsBit
{
    public const MOST = 20;

    /** From a little before somebody says "now" until the bus has said it too. Common practice. */
    private const AHEAD_US = 1_000_000;

    private const BEHIND_US = 2_000_000;

    /** @return list<Candidate> the likeliest first */
    public static function between(Recording $before, Recording $after): array
    {
        $then = Heard::each($before);
        $candidates = [];
        foreach (Heard::each($after) as $id => $now) {
            $was = $then[$id] ?? null;
            if ($was === null) {
                continue;
            }
            $moved = self::moved($was, $now);
            foreach ($moved as $bit => $apart) {
                // How far the shares of ones part, which of a figure that wanders is seldom all the way; less what it flickers within either.
                $steady = 1.0 - min(1.0, 4 * ($was->restless($bit) + $now->restless($bit)));
                $score = $apart ** 4 * max(0.0, $steady) * self::alone($moved, $bit) * self::unlikeACount($bit, $was, $now) * ($was->isCheck($bit) || $now->isCheck($bit) ? 0.1 : 1.0) * self::weight($was->frames(), $now->frames());
                if ($score > 0.01) {
                    $on = $now->share($bit) > $was->share($bit);
                    $candidates[] = new Candidate($id, $bit, $now->bytes, $now->periodUs(), $on, round($score, 4), ($on ? '0' : '1').' in '.self::of($was, $bit, ! $on).' before, '.($on ? '1' : '0').' in '.self::of($now, $bit, $on).' after'.(count($moved) === 1 ? '; nothing else of it moved' : ''));
                }
            }
        }

        return self::best($candidates);
    }

    /** @return list<Candidate> the likeliest first; none without marks */
    public static function atMarks(Recording $recording): array
    {
        $marks = $recording->marksUs;
        if ($marks === []) {
            return [];
        }
        $candidates = [];
        $near = self::near($recording);
        foreach (Heard::each($recording) as $id => $heard) {
            foreach ($heard->turnsUs as $bit => $turns) {
                [$met, $within, $late] = self::met($turns, $marks);
                $outside = count($turns) - $within;
                // What turns all the time turns near marks as well.
                $expected = $near * count($turns);
                $score = $met / count($marks) * $within / (count($turns) + 0.5 * $outside + 1e-9) * ($within > $expected ? 1 - $expected / max($within, 1e-9) * 0.5 : 0.1)
                    * ($heard->isCheck($bit) ? 0.1 : 1.0) * (1 - 0.1 * $late) * self::unlikeACount($bit, $heard, $heard);
                if ($score > 0.01) {
                    $candidates[] = new Candidate($id, $bit, $heard->bytes, $heard->periodUs(), (($heard->last >> $bit) & 1) === 1, round($score, 4), "turns at {$met} of ".count($marks).' marks, '.($outside === 0 ? 'nowhere else' : "{$outside} times elsewhere"));
                }
            }
        }

        return self::best($candidates);
    }

    /** @return list<Candidate> bits that turned so often, or twice as often where it goes back by itself; the likeliest first */
    public static function times(Recording $recording, int $count): array
    {
        $candidates = [];
        foreach (Heard::each($recording) as $id => $heard) {
            foreach ($heard->changes as $bit => $changes) {
                $off = min(abs($changes - $count), abs($changes - 2 * $count));
                $score = max(0.0, 1 - $off / $count) ** 2 * self::unlikeACount($bit, $heard, $heard) * ($heard->isCheck($bit) ? 0.1 : 1.0) * ($off === 0 ? 1.0 : 0.6);
                if ($count > 0 && $score > 0.01) {
                    $candidates[] = new Candidate($id, $bit, $heard->bytes, $heard->periodUs(), (($heard->last >> $bit) & 1) === 1, round($score, 4), "turned {$changes} times in {$heard->frames()} frames");
                }
            }
        }

        return self::best($candidates);
    }

    /** @return array<int, float> how far the share of ones of each bit went, of those that went anywhere */
    private static function moved(Heard $was, Heard $now): array
    {
        $moved = [];
        foreach (array_keys($was->ones + $now->ones) as $bit) {
            $apart = abs($now->share($bit) - $was->share($bit));
            if ($apart > 0.2) {
                $moved[$bit] = $apart;
            }
        }

        return $moved;
    }

    /**
     * One bit that goes alone is a flag; several of a byte that go together are a figure or a check.
     *
     * @param  array<int, float>  $moved
     */
    private static function alone(array $moved, int $bit): float
    {
        $byte = intdiv($bit, 8);
        $beside = count(array_filter(array_keys($moved), static fn (int $other): bool => $other !== $bit && intdiv($other, 8) === $byte));

        return 1 / (1 + 0.35 * $beside);
    }

    /**
     * The bit of a counter, or of a figure that wanders, lies on others each of which turns about twice as often as the one above it; what lies
     * under a flag has nothing to do with it.
     */
    private static function unlikeACount(int $bit, Heard $was, Heard $now): float
    {
        $turned = static fn (int $bit): int => ($was->changes[$bit] ?? 0) + ($now->changes[$bit] ?? 0);
        // With the low byte first the next is the bit below, with the high byte first the highest of the byte behind.
        foreach ([-1, 15] as $step) {
            $before = $turned($bit);
            for ($below = $bit; ($below = $below % 8 === 0 ? $below + $step : $below - 1) >= 0 && $below < Heard::BITS;) {
                $turns = $turned($below);
                if ($turns === 0 || $turns < $before || $turns > 2.6 * $before + 3) {
                    break;
                }
                if ($turns >= 4 && $turns >= 4 * max(1, $turned($bit))) {
                    return 0.35;
                }
                $before = $turns;
            }
        }

        return 1.0;
    }

    /** Few frames say little. */
    private static function weight(int $before, int $after): float
    {
        return 1 - 0.5 / (1 + min($before, $after) / 4);
    }

    private static function of(Heard $heard, int $bit, bool $value): string
    {
        $ones = $heard->ones[$bit] ?? 0;
        $count = $value ? $ones : $heard->frames() - $ones;

        return $count === $heard->frames() ? "all {$count}" : "{$count} of {$heard->frames()}";
    }

    /** @return float the share of a recording that is near a mark */
    private static function near(Recording $recording): float
    {
        $covered = 0;
        $to = 0;
        foreach ($recording->marksUs as $mark) {
            $from = max($to, $mark - self::AHEAD_US, 0);
            $to = max($to, min($mark + self::BEHIND_US, $recording->lengthUs()));
            $covered += max(0, $to - $from);
        }

        return min(1.0, $covered / max(1, $recording->lengthUs()));
    }

    /**
     * @param  list<int>  $turns
     * @param  list<int>  $marks
     * @return array{int, int, float} marks at which it turned, turns near marks, and how differently late they were, 0 to 1
     */
    private static function met(array $turns, array $marks): array
    {
        $met = $within = 0;
        $late = [];
        $first = 0;
        foreach ($marks as $mark) {
            $here = 0;
            while (isset($turns[$first]) && $turns[$first] < $mark - self::AHEAD_US) {
                $first++;
            }
            while (isset($turns[$first]) && $turns[$first] <= $mark + self::BEHIND_US) {
                if ($here === 0) {
                    $late[] = $turns[$first] - $mark;
                }
                $here++;
                $first++;
            }
            $within += $here;
            $met += $here > 0 ? 1 : 0;
        }
        $spread = $late === [] ? 0.0 : (max($late) - min($late)) / (self::AHEAD_US + self::BEHIND_US);

        return [$met, $within, $spread];
    }

    /**
     * @param  list<Candidate>  $candidates
     * @return list<Candidate>
     */
    private static function best(array $candidates): array
    {
        usort($candidates, static fn (Candidate $one, Candidate $other): int => [$other->score, $one->id, $one->place] <=> [$one->score, $other->id, $other->place]);

        return array_slice($candidates, 0, self::MOST);
    }
}
