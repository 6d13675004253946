<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Figures;

/** What a supply gives: nominally, and how far it strays. */
final readonly class Volts
{
    public function __construct(public float $minV, public float $nominalV, public float $maxV)
    {
    }

    public static function within(float $nominalV, float $tolerancePercent): self
    {
        return new self($nominalV * (1 - $tolerancePercent / 100), $nominalV, $nominalV * (1 + $tolerancePercent / 100));
    }

    public function less(float $dropV): self
    {
        return new self(max(0.0, $this->minV - $dropV), $this->nominalV, $this->maxV);
    }

    /** A hair of tolerance: five volts and five per cent are 5.25. */
    public function isAbove(float $volts): bool
    {
        return $this->maxV > $volts + 1e-6;
    }

    public function isBelow(float $volts): bool
    {
        return $this->minV < $volts - 1e-6;
    }

    public function isWithin(float $minV, float $maxV): bool
    {
        return ! $this->isBelow($minV) && ! $this->isAbove($maxV);
    }

    /** @param  float  $leastV  what is asked of it: where it would do as it is made, what its tolerance or its cable leaves is said */
    public function wordsAgainst(float $leastV, float $mostV = INF): string
    {
        return match (true) {
            $this->isBelow($leastV) && $this->nominalV >= $leastV => Figures::significant($this->minV).' V at the least',
            $this->isAbove($mostV) && $this->nominalV <= $mostV => Figures::significant($this->maxV).' V at the most',
            default => $this->words(),
        };
    }

    public function words(): string
    {
        $narrow = $this->maxV - $this->minV <= 0.11 * $this->nominalV;

        return $narrow ? Figures::significant($this->nominalV).' V' : Figures::significant($this->minV).' to '.Figures::significant($this->maxV).' V';
    }
}
