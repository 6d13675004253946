<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\Signal;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;

/** A signal that the program makes or reads itself, beside another that wants the whole of the program as well. */
#[Finds('software-disturbs', WorkStep::PinsAndPower)]
final readonly class SoftwareDisturbs implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $wires = Wire::firsts($look->wiresOf($node));
        $timed = array_values(array_filter($wires, self::isTimed(...)));
        $said = [];
        foreach ($wires as $wire) {
            foreach ($wire->terminal->isBySoftware($wire->use) ? $timed : [] as $other) {
                $pair = "{$wire->module->id} {$other->module->id}";
                if ($other->module->id === $wire->module->id || isset($said[$pair])) {
                    continue;
                }
                $said[$pair] = true;
                yield Finding::warning(
                    "{$wire->module->name} by software and {$other->module->name} of {$node->name} disturb each other",
                    $wire->at(),
                    'A program that makes or reads bits itself does nothing else meanwhile, about a millisecond for each byte at 9600 baud. Edges of the other come in that time and are missed.',
                    'Put it on a pin with hardware for it, or let the two take turns.',
                    about: [$wire->module->id, $other->module->id],
                );
            }
        }
    }

    /** It has edges that come when they come. */
    private static function isTimed(Wire $wire): bool
    {
        return in_array($wire->terminal->signal, [Signal::Pixels, Signal::Servo, Signal::Marks], true);
    }
}
