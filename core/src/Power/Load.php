<?php

declare(strict_types=1);

namespace Rundfunk\Power;

/** What is drawn: as a rule, and with everything at its peak at once. Milliamperes. */
final readonly class Load
{
    public function __construct(public float $typicalMa, public float $peakMa)
    {
    }

    public static function none(): self
    {
        return new self(0.0, 0.0);
    }

    public function and(self $other): self
    {
        return new self($this->typicalMa + $other->typicalMa, $this->peakMa + $other->peakMa);
    }

    public function times(int $count): self
    {
        return new self($this->typicalMa * $count, $this->peakMa * $count);
    }
}
