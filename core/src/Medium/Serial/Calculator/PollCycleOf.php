<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Serial\LineTime;
use Rundfunk\OutOfRange;

final readonly class PollCycleOf implements Calculator
{
    public function name(): string
    {
        return 'poll-cycle';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'Poll cycle';
    }

    public function plainly(): string
    {
        return 'How long it takes to ask every box on a line once';
    }

    public function formula(): string
    {
        return 'boxes · ((request + reply) · bits / baud + turn-round + gap)';
    }

    public function source(): string
    {
        return 'Arithmetic';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('baud', 'baud', 'The rate of the line.')->example('9600'),
            Quantity::whole('bits_per_character', null, 'Start, data, parity and stop: 10 for 8N1.')->example('10'),
            Quantity::whole('boxes', null, 'That are asked in turn.')->example('4'),
            Quantity::whole('request_bytes', null, 'Of the question.')->example('10'),
            Quantity::whole('reply_bytes', null, 'Of the answer.')->example('10'),
            Quantity::number('turn_round_ms', 'ms', 'From the end of the question to the start of the answer.')->example('2'),
            Quantity::number('gap_ms', 'ms', 'From the end of the answer to the next question.')->example('5'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('cycle_ms', 'ms', 'Until the same box is asked again.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $line = LineTime::of($inputs->whole('baud'), $inputs->whole('bits_per_character'));
        $boxes = $inputs->whole('boxes');
        OutOfRange::unless('boxes', $boxes, 1, 255);
        foreach (['request_bytes', 'reply_bytes'] as $name) {
            OutOfRange::unless($name, $inputs->whole($name), 0, 10_000);
        }
        foreach (['turn_round_ms', 'gap_ms'] as $name) {
            OutOfRange::unless($name, $inputs->number($name), 0, 3_600_000);
        }
        $bytes = $inputs->whole('request_bytes') + $inputs->whole('reply_bytes');

        return ['cycle_ms' => round($boxes * ($line->ms($bytes) + $inputs->number('turn_round_ms') + $inputs->number('gap_ms')), 6)];
    }
}
