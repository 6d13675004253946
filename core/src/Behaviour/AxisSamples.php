<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\OutOfRange;

/** What a stick was seen to read while it was moved to both its ends and let go: its ends, its middle, and how much it wavers there. */
final readonly class AxisSamples
{
    private const FEWEST = 8;

    private const MOST = 20_000;

    /** Of all its way: what lies nearer to an end than this is the end, and no middle. */
    private const END_SHARE = 0.15;

    /** Of all its way: how far it may waver while it rests. */
    private const REST_SHARE = 0.03;

    private function __construct(public int $lowest, public int $centre, public int $highest, public bool $rests, public int $wavers)
    {
    }

    /**
     * @param  list<int>  $samples  as the converter read them, in turn
     *
     * @throws OutOfRange where they are too few, or it was not moved
     */
    public static function of(array $samples): self
    {
        OutOfRange::unless('samples', count($samples), self::FEWEST, self::MOST);
        foreach ($samples as $sample) {
            OutOfRange::unless('samples', $sample, 0, 65_535);
        }
        $lowest = min([65_535, ...$samples]);
        $highest = max([0, ...$samples]);
        if ($highest - $lowest < 16) {
            throw OutOfRange::because('samples', "It was not moved: all of them are from {$lowest} to {$highest}.");
        }
        $rest = self::rest($samples, $lowest, $highest);
        if ($rest === []) {
            return new self($lowest, intdiv($lowest + $highest, 2), $highest, false, 0);
        }
        sort($rest);

        return new self($lowest, $rest[intdiv(count($rest), 2)], $highest, true, $rest[count($rest) - 1] - $rest[0]);
    }

    /** @return int per cent of half its way that the middle must be wide so that it rests, at least two */
    public function deadBandPercent(): int
    {
        $half = min($this->highest - $this->centre, $this->centre - $this->lowest);

        return max(2, min(50, (int) ceil(100 * 2 * $this->wavers / max(1, $half))));
    }

    /**
     * The longest stretch in which it lay still, away from its ends.
     *
     * @param  list<int>  $samples
     * @return list<int>
     */
    private static function rest(array $samples, int $lowest, int $highest): array
    {
        $way = $highest - $lowest;
        $best = [0, 0];
        $from = null;
        $least = $most = 0;
        foreach ($samples as $at => $sample) {
            $central = $sample > $lowest + self::END_SHARE * $way && $sample < $highest - self::END_SHARE * $way;
            $stays = $from !== null && max($most, $sample) - min($least, $sample) <= self::REST_SHARE * $way;
            if (! $central) {
                $from = null;

                continue;
            }
            $from = $stays ? $from : $at;
            [$least, $most] = $stays ? [min($least, $sample), max($most, $sample)] : [$sample, $sample];
            // Of two as long the later: people let go last.
            if ($at + 1 - $from >= $best[1]) {
                $best = [$from, $at + 1 - $from];
            }
        }

        return $best[1] >= 3 ? array_slice($samples, ...$best) : [];
    }
}
