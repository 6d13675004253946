<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** A resistor that grows less as it warms, below a fixed one from the supply: what is left of the supply between the two. Source: the B equation, R = R25 · e^(B · (1/T − 1/298.15 K)), as B is defined in IEC 60539-1 (from memory). */
final readonly class Thermistor
{
    private const KELVIN = 273.15;

    private const AT = 298.15;

    /**
     * @param  float  $r25Ohm  at 25 °C
     * @param  float  $betaK  its B value, kelvin
     * @param  float  $fixedOhm  from the supply to it
     *
     * @throws OutOfRange
     */
    public function __construct(public float $r25Ohm, public float $betaK, public float $fixedOhm)
    {
        OutOfRange::unless('r25_ohm', $r25Ohm, 1, 10e6);
        OutOfRange::unless('beta_k', $betaK, 1_000, 10_000);
        OutOfRange::unless('fixed_ohm', $fixedOhm, 1, 10e6);
    }

    /** @throws OutOfRange */
    public function ohms(float $celsius): float
    {
        OutOfRange::unless('celsius', $celsius, -100, 400);

        return $this->r25Ohm * exp($this->betaK * (1 / ($celsius + self::KELVIN) - 1 / self::AT));
    }

    /** @return float of the supply, 0 to 1: the colder, the more */
    public function share(float $celsius): float
    {
        $ohms = $this->ohms($celsius);

        return $ohms / ($ohms + $this->fixedOhm);
    }

    /**
     * @param  float  $share  of the supply, more than 0 and less than 1
     * @return float °C
     */
    public function celsius(float $share): float
    {
        $ohms = $this->fixedOhm * $share / (1 - $share);

        return 1 / (1 / self::AT + log($ohms / $this->r25Ohm) / $this->betaK) - self::KELVIN;
    }
}
