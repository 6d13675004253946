<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Load;

/** A load with what feeds it, and what it takes from there. */
final readonly class Drawn
{
    /**
     * @param  float|null  $volts  of what feeds it; null where nothing does, or nobody can tell
     * @param  bool  $direct  direct current
     * @param  float|null  $amperes  all of them together, once they run; null while nobody has read the plate
     */
    public function __construct(public Load $load, public ?Circuit $circuit, public ?float $volts, public bool $direct, public ?float $amperes)
    {
    }

    /** Whoever touches it can die of it. */
    public function isDangerous(): bool
    {
        return $this->circuit?->isDangerous() ?? false;
    }

    /** @return float|null what it takes at the moment of switching on, at worst */
    public function inrushA(): ?float
    {
        return $this->amperes === null ? null : $this->amperes * $this->load->sort->inrush();
    }
}
