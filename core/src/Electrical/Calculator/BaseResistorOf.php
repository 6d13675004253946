<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\BaseResistor;

final readonly class BaseResistorOf implements Calculator
{
    public function name(): string
    {
        return 'base-resistor';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Base resistor of a switching transistor';
    }

    public function plainly(): string
    {
        return 'Resistor from a pin to a transistor that switches a coil';
    }

    public function formula(): string
    {
        return 'R ≤ (V − Vbe) / (I / gain); the next value down in E24';
    }

    public function source(): string
    {
        return 'Ohm\'s law; IEC 60063; the gain, common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('pin_v', 'V', 'What the pin still gives at that current.')->example('4.2'),
            Quantity::number('coil_ma', 'mA', 'What the transistor switches.')->example('72'),
            Quantity::number('gain', null, 'That is counted on: 10 to 20, so that it saturates.')->example('15'),
            Quantity::number('vbe_v', 'V', 'Of the base.')->example('0.7'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('maximum_ohm', 'Ω', 'Above which it does not switch fully; none where the pin does not reach the base.'),
            Quantity::number('chosen_ohm', 'Ω', 'The next value down that is sold.'),
            Quantity::number('base_ma', 'mA', 'That the pin gives with it: compare it with what the pin may give.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $resistor = new BaseResistor($inputs->number('pin_v'), $inputs->number('coil_ma'), $inputs->number('gain'), $inputs->number('vbe_v'));
        $rounded = static fn (?float $value): ?float => $value === null ? null : round($value, 6);

        return ['maximum_ohm' => $rounded($resistor->maximumOhm()), 'chosen_ohm' => $resistor->chosenOhm(), 'base_ma' => $rounded($resistor->baseMa())];
    }
}
