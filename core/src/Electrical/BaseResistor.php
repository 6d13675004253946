<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** The resistor from a pin to a transistor's base that drives it hard enough to be a switch. Source: Ohm's law; a gain of 10 to 20 for switching, common practice. */
final readonly class BaseResistor
{
    /**
     * @param  float  $pinV  what the pin still gives at that current
     * @param  float  $coilMa  what the transistor switches
     * @param  float  $gain  that is counted on: far below the sheet's, so that it saturates
     * @param  float  $vbeV  of the base, about 0.7
     *
     * @throws OutOfRange
     */
    public function __construct(public float $pinV, public float $coilMa, public float $gain = 15, public float $vbeV = 0.7)
    {
        OutOfRange::unless('pin_v', $pinV, 0.5, 30);
        OutOfRange::unless('coil_ma', $coilMa, 0.01, 20_000);
        OutOfRange::unless('gain', $gain, 1, 10_000);
        OutOfRange::unless('vbe_v', $vbeV, 0.1, 3);
    }

    /** @return float|null ohms; null where the pin does not reach the base */
    public function maximumOhm(): ?float
    {
        return $this->pinV > $this->vbeV ? ($this->pinV - $this->vbeV) / ($this->coilMa / 1000 / $this->gain) : null;
    }

    /** @return float|null ohms: the next value down, so that the base gets no less */
    public function chosenOhm(): ?float
    {
        $maximum = $this->maximumOhm();

        return $maximum === null ? null : ESeries::E24->down($maximum);
    }

    /** @return float|null milliamperes that the pin gives with the chosen one */
    public function baseMa(): ?float
    {
        $chosen = $this->chosenOhm();

        return $chosen === null ? null : ($this->pinV - $this->vbeV) / $chosen * 1000;
    }
}
