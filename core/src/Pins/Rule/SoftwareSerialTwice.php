<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;

/** Two serial lines that a program is to read bit by bit: it can listen to one at a time. */
#[Finds('software-serial-twice', WorkStep::PinsAndPower)]
final readonly class SoftwareSerialTwice implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $heard = array_values(array_filter(Wire::firsts($look->wiresOf($node)), static fn (Wire $wire): bool => $wire->terminal->isBySoftware($wire->use) && $wire->terminal->needs === 'uart.rx'));
        if (count($heard) < 2) {
            return [];
        }
        $names = implode(' and ', array_map(static fn (Wire $wire): string => $wire->module->name, $heard));

        return [Finding::warning(
            "{$node->name} can listen to one of {$names} at a time",
            $heard[1]->at(),
            'A serial line read by software takes the whole of the program while a byte comes in. What the other says meanwhile is lost.',
            'Put one of them on a serial port of the board, or ask the one only when the other is silent.',
            about: array_map(static fn (Wire $wire): string => $wire->use->id, $heard),
        )];
    }
}
