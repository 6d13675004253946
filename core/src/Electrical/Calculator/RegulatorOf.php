<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\LinearRegulator;

final readonly class RegulatorOf implements Calculator
{
    public function name(): string
    {
        return 'regulator';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Linear regulator';
    }

    public function plainly(): string
    {
        return 'Whether a regulator works, and how hot it gets';
    }

    public function formula(): string
    {
        return 'P = (Vin − Vout) · I; works where Vin − Vout is not below its drop-out';
    }

    public function source(): string
    {
        return 'Ohm\'s and Joule\'s laws';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('vin_v', 'V', 'That it is fed.')->example('5'),
            Quantity::number('vout_v', 'V', 'That it gives.')->example('3.3'),
            Quantity::number('current_a', 'A', 'That is drawn.')->example('0.5'),
            Quantity::number('dropout_v', 'V', 'That it needs above what it gives: about 2 for older kinds, 1.1 to 1.3 for the common adapter, 0.2 to 0.3 for low-drop ones.')->example('1.2'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::flag('works', 'Whether it has enough to regulate with.'),
            Quantity::number('heat_w', 'W', 'That it turns to heat.'),
            Quantity::number('efficiency_percent', '%', 'Of what goes in that comes out.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $regulator = new LinearRegulator($inputs->number('vin_v'), $inputs->number('vout_v'), $inputs->number('current_a'), $inputs->number('dropout_v'));

        return ['works' => $regulator->works(), 'heat_w' => round($regulator->heatW(), 9), 'efficiency_percent' => round($regulator->efficiencyPercent(), 9)];
    }
}
