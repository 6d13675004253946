<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\LedStrings;

final readonly class LedStringOf implements Calculator
{
    public function name(): string
    {
        return 'led-string';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'LED strings';
    }

    public function plainly(): string
    {
        return 'How many diodes in a string, and how many strings';
    }

    public function formula(): string
    {
        return 'As many as leave a tenth of the supply to the resistor; R as for one string';
    }

    public function source(): string
    {
        return 'Ohm\'s law; IEC 60063; the tenth, common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('supply_v', 'V', 'Supply.')->example('12'),
            Quantity::number('forward_v', 'V', 'What one diode takes while it is lit.')->example('3.1'),
            Quantity::number('current_ma', 'mA', 'Through each string.')->example('20'),
            Quantity::whole('leds', null, 'How many there are.')->example('30'),
            Quantity::number('drop_v', 'V', 'What a transistor in the way takes.')->example('0.1'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('per_string', null, 'In each; 0 where not even one leaves enough.'),
            Quantity::whole('strings', null, 'Side by side.'),
            Quantity::number('chosen_ohm', 'Ω', 'Before each full string.'),
            Quantity::number('total_ma', 'mA', 'Of all of them.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $strings = new LedStrings($inputs->number('supply_v'), $inputs->number('forward_v'), $inputs->number('current_ma'), $inputs->whole('leds'), $inputs->number('drop_v'));
        $total = $strings->totalMa();

        return ['per_string' => $strings->perString(), 'strings' => $strings->strings(), 'chosen_ohm' => $strings->chosenOhm(), 'total_ma' => $total === null ? null : round($total, 6)];
    }
}
