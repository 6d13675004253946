<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\BaudMismatch;

final readonly class BaudMismatchOf implements Calculator
{
    public function name(): string
    {
        return 'baud-mismatch';
    }

    public function topic(): string
    {
        return 'Serial';
    }

    public function title(): string
    {
        return 'Baud rate mismatch';
    }

    public function plainly(): string
    {
        return 'Whether two ends of a serial line are near enough to each other';
    }

    public function formula(): string
    {
        return '|error 1 − error 2| < 0.5 / (bits − 0.5)';
    }

    public function source(): string
    {
        return 'Arithmetic: the middle of the last bit must not have drifted by half a bit';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('error1_percent', '%', 'Of one end, with its sign; add the tolerance of its clock.')->example('2.12'),
            Quantity::number('error2_percent', '%', 'Of the other.')->example('-0.79'),
            Quantity::whole('bits', null, 'Of one character with start and stop: 10 for 8N1.')->example('10'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('difference_percent', '%', 'Between the two.'),
            Quantity::flag('ok', 'Whether the last bit of a character is still read in its place. From 2 % on it is doubtful, from 4 % wrong in practice.'),
            Quantity::number('limit_percent', '%', 'Where it ends on paper.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $mismatch = new BaudMismatch($inputs->number('error1_percent'), $inputs->number('error2_percent'), $inputs->whole('bits'));

        return ['difference_percent' => round($mismatch->differencePercent, 6), 'ok' => $mismatch->reads(), 'limit_percent' => round($mismatch->limitPercent(), 6)];
    }
}
