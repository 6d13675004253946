<?php

declare(strict_types=1);

namespace Rundfunk\Electrical\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Electrical\CopperPair;

final readonly class CableDrop implements Calculator
{
    public function name(): string
    {
        return 'cable-drop';
    }

    public function topic(): string
    {
        return 'Electrical';
    }

    public function title(): string
    {
        return 'Voltage drop in a cable';
    }

    public function plainly(): string
    {
        return 'What a cable loses on the way there and back';
    }

    public function formula(): string
    {
        return 'R = 2 · L · ρ / A; V = I · R';
    }

    public function source(): string
    {
        return 'IEC 60028; ASTM B258';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('awg', null, 'Gauge of the wires, 0 to 40; or their area instead.')->optional()->example('22'),
            Quantity::number('area_mm2', 'mm²', 'Of one wire; or its gauge instead.')->optional(),
            Quantity::number('length_m', 'm', 'Of the cable.')->example('10'),
            Quantity::number('current_a', 'A', 'Through it.')->example('0.5'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('resistance_ohm', 'Ω', 'Of both wires together.'),
            Quantity::number('drop_v', 'V', 'Lost between supply and load.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $lengthM = $inputs->number('length_m');
        $gauge = $inputs->text('awg') !== '';
        if ($gauge === ($inputs->text('area_mm2') !== '')) {
            throw BadInput::oneOf('awg', 'area_mm2');
        }
        $pair = $gauge ? CopperPair::awg($inputs->whole('awg'), $lengthM) : new CopperPair($inputs->number('area_mm2'), $lengthM);

        return ['resistance_ohm' => round($pair->loopOhm(), 9), 'drop_v' => round($pair->dropV($inputs->number('current_a')), 9)];
    }
}
