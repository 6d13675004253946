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

    /**
     * @param  int  $state  0, 1 or {@see State::UNKNOWN}, before
     * @param  int  $raw  thousandths, or {@see self::FAILED}
     * @return int what it counts as now: 1 beyond the threshold, 0 not
     */
    public function beyond(int $state, int $raw): int
    {
        if ($raw === self::FAILED) {
            return match ($this->onFailure) {
                OnFailure::Keep => $state,
                OnFailure::Off => 0,
                OnFailure::On => 1,
            };
        }
        // How far beyond the threshold, whichever side that is; on a small board 32 bits hold it.
        $over = $this->above ? $raw - $this->threshold : $this->threshold - $raw;

        return $over > 0 || ($state === 1 && $over > -$this->hysteresis) ? 1 : 0;
    }

    /** How long it must have counted as one before it may count as the other: a sensor that fails ends what is on, and no rest. */
    public function leastMs(int $from, int $to, bool $failed): int
    {
        return match (true) {
            $from === 1 => $failed ? 0 : $this->leastOnMs,
            $to === 1 => $this->leastOffMs,
            default => 0,
        };
    }
}
