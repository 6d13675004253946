<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A reading, in thousandths of its unit; or as a converter reads it, where it has a scale. */
final readonly class Gauge
{
    /** What the program says when a sensor gives nothing, or nonsense. */
    public const FAILED = -2_147_483_648;

    /** The most that is reckoned with, thousandths: what no sensor reads. */
    public const MOST = 1_000_000_000;

    /**
     * @param  bool  $hasThreshold  without one it says its value only
     * @param  int  $threshold  thousandths
     * @param  int  $hysteresis  thousandths it must come back to count as off again
     * @param  bool  $above  it counts as on above the threshold, otherwise below
     * @param  int  $intervalMs  how often its value is told
     * @param  int  $leastOnMs  how long it counts as beyond at least, once it does
     * @param  int  $leastOffMs  how long as not beyond, from the start on
     * @param  int  $repeatMs  how often what it holds is told again while it is beyond; 0 for never
     * @param  Scale|null  $scale  from what is read to the unit; null where the unit is given
     */
    public function __construct(
        public string $name,
        public bool $hasThreshold,
        public int $threshold,
        public int $hysteresis,
        public bool $above,
        public int $intervalMs,
        public OnFailure $onFailure,
        public Does $does,
        public int $leastOnMs = 0,
        public int $leastOffMs = 0,
        public int $repeatMs = 0,
        public ?Scale $scale = null,
    ) {
    }

    public function rests(): bool
    {
        return $this->leastOnMs > 0 || $this->leastOffMs > 0;
    }
}
