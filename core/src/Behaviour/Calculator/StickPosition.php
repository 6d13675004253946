<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Calculator;

use Rundfunk\Behaviour\Axis;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\OutOfRange;

final readonly class StickPosition implements Calculator
{
    public function name(): string
    {
        return 'stick-position';
    }

    public function topic(): string
    {
        return 'Sticks';
    }

    public function title(): string
    {
        return 'Stick: position';
    }

    public function plainly(): string
    {
        return 'What a stick comes to, from what its converter reads';
    }

    public function formula(): string
    {
        return 'x = (raw − middle) · 1024 / way; less the dead band; x + expo · (x³ − x); in 1024ths, whole numbers';
    }

    public function source(): string
    {
        return 'Common practice of model radio control';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('raw', null, 'What the converter reads.')->example('800'),
            Quantity::whole('lowest', null, 'At one end.')->example('0'),
            Quantity::whole('centre', null, 'Let go.')->example('512'),
            Quantity::whole('highest', null, 'At the other end.')->example('1023'),
            Quantity::whole('dead_band_percent', '%', 'How wide the middle is.')->example('4'),
            Quantity::whole('expo_percent', '%', 'How soft it is about the middle.')->example('30'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('position', null, '−1024 to 1024.'),
            Quantity::number('percent', '%', 'The same of a hundred.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        OutOfRange::unless('dead_band_percent', $inputs->whole('dead_band_percent'), 0, 90);
        OutOfRange::unless('expo_percent', $inputs->whole('expo_percent'), 0, 100);
        OutOfRange::unless('raw', $inputs->whole('raw'), -65_535, 65_535);
        $axis = new Axis($inputs->whole('lowest'), $inputs->whole('centre'), $inputs->whole('highest'), intdiv($inputs->whole('dead_band_percent') * Axis::FULL, 100), intdiv($inputs->whole('expo_percent') * Axis::FULL, 100));
        $position = $axis->position($inputs->whole('raw'));

        return ['position' => $position, 'percent' => round(100 * $position / Axis::FULL, 1)];
    }
}
