<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Serial\LineTime;
use Rundfunk\OutOfRange;

final readonly class RingDelayOf implements Calculator
{
    public function name(): string
    {
        return 'ring-delay';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'Ring delay';
    }

    public function plainly(): string
    {
        return 'How long a frame takes around a ring of boxes that hand it on';
    }

    public function formula(): string
    {
        return 'hops · (frame · bits / baud + processing)';
    }

    public function source(): string
    {
        return 'Arithmetic: each box takes the frame whole before it hands it on';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('baud', 'baud', 'The rate of the line.')->example('9600'),
            Quantity::whole('bits_per_character', null, 'Start, data, parity and stop: 10 for 8N1.')->example('10'),
            Quantity::whole('frame_bytes', null, 'Of one frame.')->example('10'),
            Quantity::whole('hops', null, 'From box to box.')->example('4'),
            Quantity::number('processing_ms', 'ms', 'From the last byte in to the first byte out, in each.')->example('1'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('delay_ms', 'ms', 'From the first bit sent to the last received.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $line = LineTime::of($inputs->whole('baud'), $inputs->whole('bits_per_character'));
        OutOfRange::unless('frame_bytes', $inputs->whole('frame_bytes'), 1, 10_000);
        OutOfRange::unless('hops', $inputs->whole('hops'), 1, 1_000);
        OutOfRange::unless('processing_ms', $inputs->number('processing_ms'), 0, 3_600_000);

        return ['delay_ms' => round($inputs->whole('hops') * ($line->ms($inputs->whole('frame_bytes')) + $inputs->number('processing_ms')), 6)];
    }
}
