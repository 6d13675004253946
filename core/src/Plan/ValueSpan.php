<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\OutOfRange;

/** The whole numbers an output can be set to: speeds, levels, degrees. */
final readonly class ValueSpan
{
    public function __construct(public int $lowest, public int $highest)
    {
        OutOfRange::unless('highest', $highest, $lowest, 10_000);
    }

    public function holds(int $value): bool
    {
        return $value >= $this->lowest && $value <= $this->highest;
    }

    /** @return int the value that is nearest to a given one */
    public function nearest(int $value): int
    {
        return max($this->lowest, min($this->highest, $value));
    }

    /** @return list<int> */
    public function values(): array
    {
        return range($this->lowest, $this->highest);
    }
}
