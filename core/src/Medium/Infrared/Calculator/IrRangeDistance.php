<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrRange;

final readonly class IrRangeDistance implements DrawsCurve, FitsPlans
{
    public function name(): string
    {
        return 'ir-reach';
    }

    public function topic(): string
    {
        return 'Infrared';
    }

    public function title(): string
    {
        return 'Infrared range';
    }

    public function plainly(): string
    {
        return 'How far an emitter is heard';
    }

    public function formula(): string
    {
        return 'd = √(Ie / Emin), on the axis and in the clear; half of it in direct sun';
    }

    public function source(): string
    {
        return 'Inverse square law; the sun is common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('intensity_mw_sr', 'mW/sr', 'Radiant intensity on the axis.')->example('60'),
            Quantity::number('threshold_mw_m2', 'mW/m²', 'The least irradiance the receiver hears.')->example('0.4'),
        ];
    }

    public function outputs(): array
    {
        return [Quantity::number('distance_m', 'm', 'On the axis, in the clear.')];
    }

    public function calculate(Inputs $inputs): array
    {
        return ['distance_m' => round(IrRange::distanceM($inputs->number('intensity_mw_sr'), $inputs->number('threshold_mw_m2')), 6)];
    }

    public function sweep(): Sweep
    {
        return new Sweep('intensity_mw_sr', 1, 300, 'distance_m');
    }

    public function destination(): Destination
    {
        return Destination::end(Infrared::KEY, ['intensity_mw_sr' => 'intensityMwSr']);
    }
}
