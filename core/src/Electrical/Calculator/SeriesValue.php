<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\ESeries;

final readonly class SeriesValue implements Calculator
{
    public function name(): string
    {
        return 'e-series';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Preferred values (E series)';
    }

    public function plainly(): string
    {
        return 'Which resistors there are around a value';
    }

    public function formula(): string
    {
        return '10^(i / N) in each decade, rounded as the standard has it';
    }

    public function source(): string
    {
        return 'IEC 60063';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('value', null, 'In any unit: the series repeats each decade.')->example('5100'),
            Quantity::choice('series', array_map(static fn (ESeries $series): string => $series->value, ESeries::cases()), 'How many values a decade has.')->example('E12'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('down', null, 'The largest that is not above.'),
            Quantity::number('nearest', null, 'The nearer of both by their ratio to it.'),
            Quantity::number('up', null, 'The smallest that is not below.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $series = ESeries::tryFrom(strtoupper($inputs->text('series'))) ?? throw BadInput::notAChoice('series', $inputs->text('series'), array_map(static fn (ESeries $one): string => $one->value, ESeries::cases()));
        $value = $inputs->number('value');

        return ['down' => $series->down($value), 'nearest' => $series->nearest($value), 'up' => $series->up($value)];
    }
}
