<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\I2cPullUp;

final readonly class I2cPullUpOf implements Calculator
{
    public function name(): string
    {
        return 'i2c-pull-up';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'I²C pull-up';
    }

    public function plainly(): string
    {
        return 'Which pull-up an I²C bus wants';
    }

    public function formula(): string
    {
        return '(V − 0.4 V) / 3 mA ≤ R ≤ t / (0.8473 · C)';
    }

    public function source(): string
    {
        return 'I²C-bus specification UM10204, 7.1';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('supply_v', 'V', 'Of the bus.')->example('3.3'),
            Quantity::number('bus_pf', 'pF', 'Of wires and chips together: about 10 a chip and 50 to 100 a metre; 400 at most.')->example('100'),
            Quantity::number('rise_ns', 'ns', 'Allowed: 1000 at 100 kHz, 300 at 400 kHz.')->example('300'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('minimum_ohm', 'Ω', 'Below which a chip cannot pull it low.'),
            Quantity::number('maximum_ohm', 'Ω', 'Above which it rises too slowly. Modules\' own pull-ups are in parallel.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $pullUp = new I2cPullUp($inputs->number('supply_v'), $inputs->number('bus_pf'), $inputs->number('rise_ns'));

        return ['minimum_ohm' => round($pullUp->minimumOhm(), 6), 'maximum_ohm' => round($pullUp->maximumOhm(), 6)];
    }
}
