<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\BatteryLife;

final readonly class BatteryLifeOf implements Calculator
{
    public function name(): string
    {
        return 'battery-life';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Battery life';
    }

    public function plainly(): string
    {
        return 'How long a battery lasts';
    }

    public function formula(): string
    {
        return 'Capacity · usable / (mean current + self-discharge); the lower end at 0.7 of it';
    }

    public function source(): string
    {
        return 'Common practice';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('capacity_mah', 'mAh', 'On the label.')->example('2500'),
            Quantity::number('usable_percent', '%', 'Before what hangs on it stops: 50 for lead, 80 to 90 for Li-ion.')->example('85'),
            Quantity::number('self_discharge_percent_month', '%', 'A month: 2 to 3 for Li-ion, 0.2 for alkaline, 10 to 30 for NiMH, 2 for its low kind.')->example('3'),
            Quantity::number('sleep_ma', 'mA', 'While it sleeps.')->example('0.02'),
            Quantity::number('active_ma', 'mA', 'While it is awake.')->example('15'),
            Quantity::number('active_ms', 'ms', 'Awake in each period.')->example('20'),
            Quantity::number('period_s', 's', 'From one waking to the next.')->example('60'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('average_ma', 'mA', 'That the node takes.'),
            Quantity::number('days_low', 'd', 'With a cell that is worn or cold; none where nothing is taken at all.'),
            Quantity::number('days_high', 'd', 'With a new and warm one.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $life = new BatteryLife($inputs->number('capacity_mah'), $inputs->number('usable_percent'), $inputs->number('self_discharge_percent_month'), $inputs->number('sleep_ma'), $inputs->number('active_ma'), $inputs->number('active_ms'), $inputs->number('period_s'));
        $rounded = static fn (?float $days): ?float => $days === null ? null : round($days, 6);

        return ['average_ma' => round($life->averageMa(), 9), 'days_low' => $rounded($life->daysLow()), 'days_high' => $rounded($life->daysHigh())];
    }
}
