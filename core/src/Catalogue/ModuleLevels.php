<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a module's signal terminals take and give: volts, or shares of the voltage that feeds it. */
final readonly class ModuleLevels
{
    /**
     * @param  float|null  $inHighShare  of its supply, from which on it reads high
     * @param  float|null  $inMostV  the most that an input stands; null where nothing is known
     * @param  float|null  $ledDropV  what an opto input with an indicator in series keeps for itself
     * @param  float|null  $outHighShare  of its supply
     * @param  float|null  $outLeastHighV  the lowest that it calls high
     * @param  float|null  $inLowV  up to here it reads low
     * @param  float|null  $inLowShare  of its supply
     * @param  float|null  $outMostLowV  the highest that it calls low
     * @param  float  $outHighOhm  the resistor by which alone a high comes; 0 where it is driven
     */
    private function __construct(
        private ?float $inHighV,
        private ?float $inHighShare,
        public ?float $inMostV,
        public ?float $ledDropV,
        public ?float $ledBareV,
        private ?float $outHighV,
        private ?float $outHighShare,
        private ?float $outLeastHighV,
        private ?float $inLowV,
        private ?float $inLowShare,
        public ?float $outMostLowV,
        public float $outHighOhm,
    ) {
    }

    public static function from(Values $values): self
    {
        $in = $values->within('in') ?? new Values([]);
        $out = $values->within('out') ?? new Values([]);

        return new self(
            $in->numberOrNull('highV'),
            $in->numberOrNull('highShare'),
            $in->numberOrNull('mostV'),
            $in->numberOrNull('ledDropV'),
            $in->numberOrNull('ledBareV'),
            $out->numberOrNull('highV'),
            $out->numberOrNull('highShare'),
            $out->numberOrNull('leastHighV'),
            $in->numberOrNull('lowV'),
            $in->numberOrNull('lowShare'),
            $out->numberOrNull('mostLowV'),
            $out->numberOrNull('highOhm') ?? 0.0,
        );
    }

    /** Its highs are as high as what feeds it. */
    public function followsSupply(): bool
    {
        return $this->outHighShare !== null;
    }

    /** @return float|null from here on an input reads high; null where nothing is known */
    public function inHighV(?float $supplyV): ?float
    {
        return $this->inHighV ?? ($supplyV === null || $this->inHighShare === null ? null : $this->inHighShare * $supplyV);
    }

    /** @return float|null up to here an input reads low; null where nothing is known */
    public function inLowV(?float $supplyV): ?float
    {
        return $this->inLowV ?? ($supplyV === null || $this->inLowShare === null ? null : $this->inLowShare * $supplyV);
    }

    /** @return float|null the highest that it gives */
    public function outHighV(?float $supplyV): ?float
    {
        return $this->outHighV ?? ($supplyV === null || $this->outHighShare === null ? null : $this->outHighShare * $supplyV);
    }

    /** @return float|null the lowest that it gives for high into an input that draws nothing */
    public function outLeastHighV(?float $supplyV): ?float
    {
        return $this->outLeastHighV ?? ($supplyV === null || $this->outHighShare === null ? null : $this->outHighShare * $supplyV - 0.1);
    }
}
