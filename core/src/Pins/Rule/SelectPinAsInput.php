<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Node;

/** On some boards the bus's own select pin must stay an output, or the board stops being the controller of its bus. */
#[Finds('select-pin-as-input', WorkStep::PinsAndPower)]
final readonly class SelectPinAsInput implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $buses = [];
        foreach ($look->wiresOf($node) as $wire) {
            foreach ($wire->terminal->onBus() ? $wire->pin->can ?? [] : [] as $can) {
                $buses[explode('.', $can)[0]] = true;
            }
        }
        foreach ($look->wiresOf($node) as $wire) {
            $mustDrive = $wire->pin?->outputWhile !== null && isset($buses[$wire->pin->outputWhile]);
            if (! $mustDrive || ! in_array($wire->terminal->needs, ['digital-in', 'analogue'], true)) {
                continue;
            }
            yield Finding::fault(
                "{$wire->use->pin} of {$node->name} must stay an output",
                $wire->at(),
                "While the board talks over its bus, {$wire->use->pin} is that bus's own select pin. As an input it makes the board drop off the bus when it reads low: the radio goes deaf when {$wire->terminal->name} is pressed.",
                'Move it to another pin; an output may use this one.',
                Rewiring::fixFor($look->plan, $node, $wire->use, $look->catalogue),
                numbers: ['pin' => $wire->use->pin],
            );
        }
    }
}
