<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\Rs485Bias;

final readonly class Rs485BiasOf implements Calculator
{
    public function name(): string
    {
        return 'rs485-bias';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'RS-485 bias resistors';
    }

    public function plainly(): string
    {
        return 'What holds an RS-485 pair quiet while nobody speaks';
    }

    public function formula(): string
    {
        return 'R = (line / 2) · (V / 0.2 V − 1), line = terminators of 120 Ω beside unit loads of 12 kΩ';
    }

    public function source(): string
    {
        return 'TIA/EIA-485-A: 200 mV threshold, 12 kΩ a unit load';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('supply_v', 'V', 'Of the transceivers.')->example('5'),
            Quantity::number('unit_loads', null, 'Of all receivers together: 1 each, for newer ones 1/8.')->example('32'),
            Quantity::whole('terminators', null, 'Of 120 Ω: 2, one at each end.')->example('2'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('maximum_ohm', 'Ω', 'The most that each of the two may have.'),
            Quantity::number('chosen_ohm', 'Ω', 'The next lower value of E24.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $bias = new Rs485Bias($inputs->number('supply_v'), $inputs->number('unit_loads'), $inputs->whole('terminators'));

        return ['maximum_ohm' => round($bias->maximumOhm(), 6), 'chosen_ohm' => $bias->chosenOhm()];
    }
}
