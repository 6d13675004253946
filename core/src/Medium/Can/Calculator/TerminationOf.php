<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Can\Termination;

final readonly class TerminationOf implements Calculator
{
    public function name(): string
    {
        return 'can-termination';
    }

    public function topic(): string
    {
        return 'CAN';
    }

    public function title(): string
    {
        return 'CAN termination';
    }

    public function plainly(): string
    {
        return 'What an ohmmeter says between the two wires, and whether that is right';
    }

    public function formula(): string
    {
        return '1 ÷ Σ 1 ÷ R';
    }

    public function source(): string
    {
        return 'ISO 11898-2';
    }

    public function inputs(): array
    {
        return [
            Quantity::numbers('ohms', 'Ω', 'Every resistor between the two wires, parted by commas or spaces; nothing for none.')->example('120, 120')->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::number('total_ohm', 'Ω', 'Of all of them together, measured without power; none without a resistor.'),
            Quantity::flag('ok', 'Whether that is a bus with both ends terminated: 45 to 65 Ω.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $ohms = [];
        foreach (array_filter(explode(' ', strtr($inputs->text('ohms'), ",;\t", '   ')), static fn (string $part): bool => $part !== '') as $text) {
            $ohms[] = is_numeric($text) ? (float) $text : throw BadInput::notANumber('ohms', $text);
        }
        $termination = new Termination($ohms);
        $total = $termination->totalOhm();

        return ['total_ohm' => $total === null ? null : round($total, 3), 'ok' => $termination->isSound()];
    }
}
