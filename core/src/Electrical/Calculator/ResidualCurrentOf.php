<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\ResidualCurrent;

final readonly class ResidualCurrentOf implements Calculator
{
    public function name(): string
    {
        return 'residual-current';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Leakage behind a residual-current device';
    }

    public function plainly(): string
    {
        return 'Whether what leaks day by day leaves a 30 mA device room, or trips it on a damp morning';
    }

    public function formula(): string
    {
        return 'Σ leakage ≤ 15 mA';
    }

    public function source(): string
    {
        return 'IEC 61008: it may trip from half of its rating on';
    }

    public function inputs(): array
    {
        return [Quantity::numbers('leakage_ma', 'mA', 'Of each thing behind it, parted by commas or spaces.')->example('0.75, 3.5, 3.5')];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('sum_ma', 'mA', 'Of all together.'),
            Quantity::flag('ok', 'Whether that is no more than half of 30 mA.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $leakages = [];
        foreach (array_filter(explode(' ', strtr($inputs->text('leakage_ma'), ",;\t", '   ')), static fn (string $part): bool => $part !== '') as $text) {
            $leakages[] = is_numeric($text) ? (float) $text : throw BadInput::notANumber('leakage_ma', $text);
        }
        $current = new ResidualCurrent($leakages);

        return ['sum_ma' => round($current->sumMa(), 3), 'ok' => $current->holds()];
    }
}
