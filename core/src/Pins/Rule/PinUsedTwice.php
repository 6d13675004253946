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

/** Two terminals on one pin. Terminals on the same line of one bus share it rightly. */
#[Finds('pin-used-twice', WorkStep::PinsAndPower)]
final readonly class PinUsedTwice implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $first = [];
        foreach ($look->wiresOf($node) as $wire) {
            $other = $first[$wire->use->pin] ??= $wire;
            $sameWire = $other->module->id === $wire->module->id && $other->terminal->name === $wire->terminal->name;
            if ($sameWire || ($wire->terminal->sharesBus() && $wire->terminal->needs === $other->terminal->needs)) {
                continue;
            }
            yield Finding::fault(
                "{$wire->use->pin} of {$node->name} is used twice",
                $wire->at(),
                "{$other->module->name} {$other->terminal->name} and {$wire->module->name} {$wire->terminal->name} both hang on {$wire->use->pin}: whichever drives it moves the other too.",
                'Give one of them a pin of its own.',
                Rewiring::fixFor($look->plan, $node, $wire->use, $look->catalogue) ?? Rewiring::fixFor($look->plan, $node, $other->use, $look->catalogue),
                numbers: ['pin' => $wire->use->pin],
                about: [$wire->use->id, $other->use->id],
            );
        }
    }
}
