<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** The capacitor that keeps a load above a voltage through one burst: {@see BurstDroop} solved for it. */
final readonly class CapacitorForDroop
{
    /**
     * @param  float  $sourceOhm  of source and wires
     * @param  float  $esrOhm  of the capacitor
     *
     * @throws OutOfRange
     */
    public function __construct(
        public float $sourceV,
        public float $sourceOhm,
        public float $esrOhm,
        public float $loadA,
        public float $durationS,
        public float $minimumV,
    ) {
        OutOfRange::unless('source_v', $sourceV, 0.1, 60);
        OutOfRange::unless('source_ohm', $sourceOhm, 0.001, 100);
        OutOfRange::unless('esr_ohm', $esrOhm, 0, 10);
        OutOfRange::unless('load_a', $loadA, 0.000_001, 100);
        OutOfRange::unless('duration_s', $durationS, 1e-9, 3600);
        OutOfRange::unless('minimum_v', $minimumV, 0, $sourceV);
    }

    /** @return float|null farads, 0 where the source holds by itself; null where no capacitor of this resistance is enough */
    public function farads(): ?float
    {
        $bottomV = $this->sourceV - $this->loadA * $this->sourceOhm;
        if ($bottomV >= $this->minimumV) {
            return 0.0;
        }
        // What the capacitor itself must still have at the end, for the load sees it through its resistance.
        $leftV = $this->esrOhm === 0.0 ? $this->minimumV : $this->esrOhm * ($this->minimumV * (1 / $this->sourceOhm + 1 / $this->esrOhm) - $this->sourceV / $this->sourceOhm + $this->loadA);
        $left = ($leftV - $bottomV) / ($this->sourceV - $bottomV);

        return $left < 1 ? $this->durationS / -log($left) / ($this->sourceOhm + $this->esrOhm) : null;
    }
}
