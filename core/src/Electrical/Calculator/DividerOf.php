<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\Divider;

final readonly class DividerOf implements Calculator
{
    public function name(): string
    {
        return 'divider';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Voltage divider';
    }

    public function plainly(): string
    {
        return 'What two resistors leave of a voltage';
    }

    public function formula(): string
    {
        return 'V = Vin · R2 / (R1 + R2)';
    }

    public function source(): string
    {
        return 'Ohm\'s law';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('vin_v', 'V', 'What is divided.')->example('5'),
            Quantity::number('r1_ohm', 'Ω', 'From it to the middle.')->example('1000'),
            Quantity::number('r2_ohm', 'Ω', 'From the middle to ground.')->example('1200'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('vout_v', 'V', 'Between the two, with nothing drawn from there.'),
            Quantity::number('current_ma', 'mA', 'Through both, all the time.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $divider = new Divider($inputs->number('vin_v'), $inputs->number('r1_ohm'), $inputs->number('r2_ohm'));

        return ['vout_v' => round($divider->voutV(), 9), 'current_ma' => round($divider->currentMa(), 9)];
    }
}
