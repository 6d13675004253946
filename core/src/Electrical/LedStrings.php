<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/**
 * Many diodes of one kind on one supply: as many in a string as leave the resistor a tenth of the supply to hold the current
 * with, and as many strings as that takes. Source: Ohm's law; the tenth, common practice.
 */
final readonly class LedStrings
{
    private const LEFT = 0.1;

    /**
     * @param  float  $dropV  what a transistor in the way takes
     *
     * @throws OutOfRange
     */
    public function __construct(public float $supplyV, public float $forwardV, public float $currentMa, public int $leds, public float $dropV = 0.0)
    {
        OutOfRange::unless('supply_v', $supplyV, 0.5, 60);
        OutOfRange::unless('forward_v', $forwardV, 0.5, 12);
        OutOfRange::unless('current_ma', $currentMa, 0.1, 3000);
        OutOfRange::unless('leds', $leds, 1, 10_000);
        OutOfRange::unless('drop_v', $dropV, 0, 10);
    }

    /** @return int 0 where not even one leaves enough */
    public function perString(): int
    {
        $most = (int) floor(($this->supplyV * (1 - self::LEFT) - $this->dropV) / $this->forwardV + 1e-9);

        return max(0, min($most, $this->leds));
    }

    public function strings(): int
    {
        return $this->perString() === 0 ? 0 : (int) ceil($this->leds / $this->perString());
    }

    /** @return float|null ohms before each full string; null where there is none */
    public function chosenOhm(): ?float
    {
        return $this->perString() === 0 ? null : $this->full()->chosenOhm();
    }

    /** @return float|null milliamperes of all strings, none of them with more than was asked */
    public function totalMa(): ?float
    {
        return $this->perString() === 0 ? null : $this->strings() * $this->full()->actualMa();
    }

    private function full(): LedResistor
    {
        return new LedResistor($this->supplyV, $this->forwardV, $this->currentMa, $this->perString(), $this->dropV);
    }
}
