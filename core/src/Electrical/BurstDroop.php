<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * How far a supply sags under bursts that come again before it has recovered: a source with its resistance, a capacitor
 * with its own, a load that takes a current for a time in every period. Source: the first-order circuit, solved exactly.
 */
final readonly class BurstDroop
{
    /**
     * @param  float  $sourceOhm  of source and wires
     * @param  float  $capacitorF  farads
     * @param  float  $esrOhm  of the capacitor
     * @param  float  $periodS  from burst to burst; INF where there is one alone
     */
    public function __construct(
        public float $sourceV,
        public float $sourceOhm,
        public float $capacitorF,
        public float $esrOhm,
        public float $burstA,
        public float $burstS,
        public float $periodS,
    ) {
        OutOfRange::unless('source_v', $sourceV, 0.1, 60);
        OutOfRange::unless('source_ohm', $sourceOhm, 0.001, 100);
        OutOfRange::unless('capacitor_f', $capacitorF, 1e-9, 10);
        OutOfRange::unless('esr_ohm', $esrOhm, 0, 10);
        OutOfRange::unless('burst_s', $burstS, 1e-9, $periodS);
    }

    /** @return float volts at the load at the end of the first burst, the capacitor being full before it */
    public function firstV(): float
    {
        return $this->loadV($this->afterBurst($this->sourceV));
    }

    /** @return float volts at the load at the end of a burst, when they have been coming for long */
    public function steadyV(): float
    {
        // The capacitor's voltage before a burst is what it was a period ago: a linear equation.
        $fall = exp(-$this->burstS / $this->tauS());
        $rise = exp(-($this->periodS - $this->burstS) / $this->tauS());
        $bottom = $this->sourceV - $this->burstA * $this->sourceOhm;
        $before = ($this->sourceV * (1 - $rise) + $rise * $bottom * (1 - $fall)) / (1 - $rise * $fall);

        return $this->loadV($this->afterBurst($before));
    }

    private function afterBurst(float $beforeV): float
    {
        $bottom = $this->sourceV - $this->burstA * $this->sourceOhm;

        return $bottom + ($beforeV - $bottom) * exp(-$this->burstS / $this->tauS());
    }

    /** The load sees the capacitor through its resistance. */
    private function loadV(float $capacitorV): float
    {
        if ($this->esrOhm === 0.0) {
            return $capacitorV;
        }

        return ($this->sourceV / $this->sourceOhm + $capacitorV / $this->esrOhm - $this->burstA) / (1 / $this->sourceOhm + 1 / $this->esrOhm);
    }

    private function tauS(): float
    {
        return ($this->sourceOhm + $this->esrOhm) * $this->capacitorF;
    }
}
