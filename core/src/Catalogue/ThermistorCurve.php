<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Electrical\Thermistor;
use Rundfunk\Shape\Values;

/** How what a sensor of a class gives follows from the temperature, where and how well it is made for. */
final readonly class ThermistorCurve
{
    /**
     * @param  float  $fromC  coldest
     * @param  float  $toC  warmest
     * @param  float  $withinC  what its makers promise of it: nothing is gained by reading it more finely
     */
    private function __construct(public Thermistor $thermistor, public float $fromC, public float $toC, public float $withinC)
    {
    }

    public static function from(Values $values): self
    {
        return new self(new Thermistor($values->number('r25Ohm'), $values->number('betaK'), $values->number('fixedOhm')), $values->number('fromC'), $values->number('toC'), $values->number('withinC'));
    }
}
