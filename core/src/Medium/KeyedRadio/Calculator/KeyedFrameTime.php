<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Calculator\Sweep;
use Rundfunk\Medium\KeyedRadio\KeyedFrame;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;

final readonly class KeyedFrameTime implements DrawsCurve, FitsPlans
{
    public function name(): string
    {
        return 'keyed-frame';
    }

    public function topic(): string
    {
        return 'On-off keying';
    }

    public function title(): string
    {
        return 'On-off keying: frame time';
    }

    public function plainly(): string
    {
        return 'How long a fixed code is on the air';
    }

    public function formula(): string
    {
        return 'frame = bits · 4 T + 32 T; a press is so many frames';
    }

    public function source(): string
    {
        return 'Common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('bits', null, 'Bits in a frame; twelve trits are 24.')->example('24'),
            Quantity::whole('pulse_us', 'µs', 'The shortest mark, T.')->example('350'),
            Quantity::whole('repeats', null, 'Frames for one press.')->example('4'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('frame_ms', 'ms', 'One frame with its sync.'),
            Quantity::number('total_ms', 'ms', 'The whole press.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $bits = $inputs->whole('bits');
        $pulseUs = $inputs->whole('pulse_us');

        return [
            'frame_ms' => KeyedFrame::frameNs($bits, $pulseUs) / 1e6,
            'total_ms' => KeyedFrame::pressNs($bits, $pulseUs, $inputs->whole('repeats')) / 1e6,
        ];
    }

    public function sweep(): Sweep
    {
        return new Sweep('repeats', 1, 20, 'total_ms');
    }

    public function destination(): Destination
    {
        return Destination::link(KeyedRadio::KEY, ['pulse_us' => 'pulseUs', 'repeats' => 'repeats']);
    }
}
