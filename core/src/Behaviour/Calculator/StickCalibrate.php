<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Calculator;

use Rundfunk\Behaviour\AxisSamples;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\OutOfRange;

final readonly class StickCalibrate implements Calculator
{
    public function name(): string
    {
        return 'stick-calibrate';
    }

    public function topic(): string
    {
        return 'Sticks';
    }

    public function title(): string
    {
        return 'Stick: calibrate';
    }

    public function plainly(): string
    {
        return 'Ends, middle and dead band from what a stick reads';
    }

    public function formula(): string
    {
        return 'the least, the most, and the longest rest between them';
    }

    public function source(): string
    {
        return 'Common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::numbers('samples', null, 'What the converter reads while the stick is moved to both ends and let go, one after another, parted by commas, spaces or lines.')->example('512, 511, 640, 900, 1015, 1015, 700, 400, 60, 12, 12, 300, 505, 511, 512, 512, 511, 512'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('lowest', null, 'At one end.'),
            Quantity::whole('centre', null, 'Let go; half way where it never rested.'),
            Quantity::whole('highest', null, 'At the other end.'),
            Quantity::flag('rests', 'Whether it was seen at rest between its ends.'),
            Quantity::whole('wavers', null, 'By how much it wavers at rest.'),
            Quantity::whole('dead_band_percent', '%', 'How wide the middle must be so that it rests.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $samples = [];
        preg_match_all('/[^\s,;]+/', $inputs->text('samples'), $words);
        foreach ($words[0] as $word) {
            if (preg_match('/^\d{1,6}$/D', $word) !== 1) {
                throw OutOfRange::because('samples', 'Whole numbers, as the converter reads them; not '.mb_substr($word, 0, 20).'.');
            }
            $samples[] = (int) $word;
        }
        $found = AxisSamples::of($samples);

        return ['lowest' => $found->lowest, 'centre' => $found->centre, 'highest' => $found->highest, 'rests' => $found->rests, 'wavers' => $found->wavers, 'dead_band_percent' => $found->deadBandPercent()];
    }
}
