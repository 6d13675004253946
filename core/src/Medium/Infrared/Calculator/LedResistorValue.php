<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Electrical\LedResistor;
use Rundfunk\Medium\Infrared\Infrared;

final readonly class LedResistorValue implements DrawsCurve, FitsPlans
{
    public function name(): string
    {
        return 'led-resistor';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'LED series resistor';
    }

    public function plainly(): string
    {
        return 'Resistor before a light-emitting diode';
    }

    public function formula(): string
    {
        return 'R = (V − n · Vf) / I, the next value up in E24; rated for twice what it takes';
    }

    public function source(): string
    {
        return 'Ohm\'s law; IEC 60063';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('supply_v', 'V', 'Supply.')->example('5'),
            Quantity::number('forward_v', 'V', 'What one diode takes while it is lit: about 1.35 for infrared, 2 for red, 3 for blue and white.')->example('1.35'),
            Quantity::number('current_ma', 'mA', 'Through the diodes, while they are lit.')->example('100'),
            Quantity::whole('series_leds', null, 'How many in series.')->example('1'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('exact_ohm', 'Ω', 'By arithmetic.'),
            Quantity::number('chosen_ohm', 'Ω', 'The next value up that is sold.'),
            Quantity::number('actual_ma', 'mA', 'The current with that value.'),
            Quantity::number('power_mw', 'mW', 'What the resistor turns to heat while lit.'),
            Quantity::whole('advised_rating_mw', 'mW', 'The rating to buy.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $resistor = new LedResistor($inputs->number('supply_v'), $inputs->number('forward_v'), $inputs->number('current_ma'), $inputs->whole('series_leds'));

        return [
            'exact_ohm' => round($resistor->exactOhm(), 6),
            'chosen_ohm' => $resistor->chosenOhm(),
            'actual_ma' => round($resistor->actualMa(), 6),
            'power_mw' => round($resistor->powerMw(), 6),
            'advised_rating_mw' => $resistor->advisedRatingMw(),
        ];
    }

    public function sweep(): Sweep
    {
        return new Sweep('supply_v', 3, 15, 'exact_ohm');
    }

    public function destination(): Destination
    {
        return Destination::end(Infrared::KEY, ['supply_v' => 'supplyV', 'forward_v' => 'forwardV', 'series_leds' => 'leds', 'actual_ma' => 'currentMa']);
    }
}
