<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\OutOfRange;

final readonly class BurstDroopOf implements Calculator
{
    public function name(): string
    {
        return 'burst-droop';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Supply droop under bursts';
    }

    public function plainly(): string
    {
        return 'How far a supply sags when a modem sends';
    }

    public function formula(): string
    {
        return 'First-order circuit of source, capacitor and their resistances, solved exactly';
    }

    public function source(): string
    {
        return 'Kirchhoff\'s laws; against a circuit simulator in the tests';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('source_v', 'V', 'Of the supply without load.')->example('4'),
            Quantity::number('source_ohm', 'Ω', 'Of the supply and its wires.')->example('1'),
            Quantity::number('capacitor_uf', 'µF', 'Beside the load.')->example('2200'),
            Quantity::number('esr_ohm', 'Ω', 'The capacitor\'s own.')->example('0'),
            Quantity::number('load_a', 'A', 'During a burst.')->example('2'),
            Quantity::number('duration_us', 'µs', 'Of a burst.')->example('577'),
            Quantity::number('period_us', 'µs', 'From burst to burst; left out for a single one.')->optional()->example('4615'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('minimum_v', 'V', 'At the load, at the end of a burst: of those that have been coming for long, where there is a period.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $once = $inputs->text('period_us') === '';
        $periodUs = $once ? 3.6e9 : $inputs->number('period_us');
        OutOfRange::unless('period_us', $periodUs, 0.001, 3.6e9);
        OutOfRange::unless('duration_us', $inputs->number('duration_us'), 0.001, $periodUs);
        OutOfRange::unless('capacitor_uf', $inputs->number('capacitor_uf'), 0.001, 1e7);
        $droop = new BurstDroop($inputs->number('source_v'), $inputs->number('source_ohm'), $inputs->number('capacitor_uf') / 1e6, $inputs->number('esr_ohm'), $inputs->number('load_a'), $inputs->number('duration_us') / 1e6, $once ? INF : $periodUs / 1e6);

        return ['minimum_v' => round($once ? $droop->firstV() : $droop->steadyV(), 9)];
    }
}
