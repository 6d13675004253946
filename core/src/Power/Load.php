<?php

declare(strict_types=1);

namespace Rundfunk\Power;

/**
 * What is drawn, in milliamperes: as a rule, which a battery feels; for hours while all that can be on is on, which makes heat;
 * and with everything at its peak at once, which a limit, a fuse and a voltage feel.
 */
final readonly class Load
{
    public function __construct(public float $typicalMa, public float $heldMa, public float $peakMa)
    {
    }

    public static function none(): self
    {
        return new self(0.0, 0.0, 0.0);
    }

    public function and(self $other): self
    {
        return new self($this->typicalMa + $other->typicalMa, $this->heldMa + $other->heldMa, $this->peakMa + $other->peakMa);
    }

    /** A share of it, as one of several cores carries. */
    public function sharedBy(int $count): self
    {
        return new self($this->typicalMa / $count, $this->heldMa / $count, $this->peakMa / $count);
    }

    public function times(int $count): self
    {
        return new self($this->typicalMa * $count, $this->heldMa * $count, $this->peakMa * $count);
    }
}
