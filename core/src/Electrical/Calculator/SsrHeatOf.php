<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\OutOfRange;

final readonly class SsrHeatOf implements Calculator
{
    /** Without a plate of metal behind it a relay of that kind bears no more. Common practice. */
    private const BARE_W = 4.0;

    public function name(): string
    {
        return 'ssr-heat';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Heat of a solid-state relay';
    }

    public function plainly(): string
    {
        return 'What a solid-state relay turns into heat while it is on';
    }

    public function formula(): string
    {
        return 'load × drop';
    }

    public function source(): string
    {
        return 'Ohm; the drop of a triac is 1 to 1.6 V, from memory';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('load_a', 'A', 'What goes through it.')->example('5'),
            Quantity::number('drop_v', 'V', 'What it drops while it is on, of its sheet.')->example('1.2'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('heat_w', 'W', 'All the while it is on.'),
            Quantity::flag('sink', 'Whether it wants a heat sink.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        [$load, $drop] = [$inputs->number('load_a'), $inputs->number('drop_v')];
        OutOfRange::unless('load_a', $load, 0, 100);
        OutOfRange::unless('drop_v', $drop, 0, 10);

        return ['heat_w' => round($load * $drop, 3), 'sink' => $load * $drop > self::BARE_W];
    }
}
