<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\Thermistor;
use Rundfunk\OutOfRange;

final readonly class ThermistorOf implements Calculator
{
    public function name(): string
    {
        return 'thermistor';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'NTC thermistor';
    }

    public function plainly(): string
    {
        return 'What a resistor that knows the temperature comes to, and what a converter reads of it';
    }

    public function formula(): string
    {
        return 'R = R25 · e^(B · (1/T − 1/298.15 K)); share = R / (R + fixed)';
    }

    public function source(): string
    {
        return 'The B equation; B as in IEC 60539-1, from memory';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('celsius', '°C', 'How warm it is.')->example('40'),
            Quantity::number('r25_ohm', 'Ω', 'Its resistance at 25 °C.')->example('10000'),
            Quantity::number('beta_k', 'K', 'Its B value.')->example('3950'),
            Quantity::number('fixed_ohm', 'Ω', 'The resistor from the supply to it.')->example('10000'),
            Quantity::whole('bits', null, 'Of the converter.')->example('10'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('ohms', 'Ω', 'Its resistance.'),
            Quantity::number('share_percent', '%', 'Of the supply, between the two.'),
            Quantity::whole('raw', null, 'What the converter reads, where it measures against that supply.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        OutOfRange::unless('bits', $inputs->whole('bits'), 6, 16);
        $thermistor = new Thermistor($inputs->number('r25_ohm'), $inputs->number('beta_k'), $inputs->number('fixed_ohm'));
        $share = $thermistor->share($inputs->number('celsius'));
        $codes = 1 << $inputs->whole('bits');

        return ['ohms' => round($thermistor->ohms($inputs->number('celsius')), 6), 'share_percent' => round(100 * $share, 6), 'raw' => min($codes - 1, (int) floor($codes * $share))];
    }
}
