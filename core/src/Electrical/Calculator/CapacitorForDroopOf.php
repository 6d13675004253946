<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\CapacitorForDroop;
use Rundfunk\OutOfRange;

final readonly class CapacitorForDroopOf implements Calculator
{
    public function name(): string
    {
        return 'capacitor-for-droop';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Capacitor against droop';
    }

    public function plainly(): string
    {
        return 'How large a capacitor keeps a supply up through a burst';
    }

    public function formula(): string
    {
        return 'From the first-order circuit, solved for C';
    }

    public function source(): string
    {
        return 'Kirchhoff\'s laws';
    }

    public function inputs(): array
    {
        return [
            Quantity::number('source_v', 'V', 'Of the supply without load.')->example('4'),
            Quantity::number('source_ohm', 'Ω', 'Of the supply and its wires.')->example('1'),
            Quantity::number('esr_ohm', 'Ω', 'The capacitor\'s own.')->example('0.05'),
            Quantity::number('load_a', 'A', 'During a burst.')->example('2'),
            Quantity::number('duration_us', 'µs', 'Of a burst.')->example('577'),
            Quantity::number('minimum_v', 'V', 'Below which it must not sag.')->example('3.4'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('capacitor_uf', 'µF', 'The least that does; 0 where the supply holds by itself, none where no capacitor does.'),
            Quantity::flag('possible', 'Whether any does: its own resistance may be too much.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        OutOfRange::unless('duration_us', $inputs->number('duration_us'), 0.001, 3.6e9);
        $needed = (new CapacitorForDroop($inputs->number('source_v'), $inputs->number('source_ohm'), $inputs->number('esr_ohm'), $inputs->number('load_a'), $inputs->number('duration_us') / 1e6, $inputs->number('minimum_v')))->farads();

        return ['capacitor_uf' => $needed === null ? null : round($needed * 1e6, 6), 'possible' => $needed !== null];
    }
}
