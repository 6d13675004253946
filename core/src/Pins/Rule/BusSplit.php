<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Node;

/** The lines of one module on two buses: the clock of the one, the data of the other. */
#[Finds('bus-split', WorkStep::PinsAndPower)]
final readonly class BusSplit implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $byModule = [];
        foreach ($look->wiresOf($node) as $wire) {
            if ($wire->terminal->onBus() && ! $wire->terminal->isBySoftware($wire->use) && $wire->pin?->serves($wire->terminal->needs) === true) {
                $byModule[$wire->module->id][] = $wire;
            }
        }
        foreach ($byModule as $wires) {
            $common = array_intersect(...array_map(static fn (Wire $wire): array => $wire->buses(), $wires));
            if ($common !== []) {
                continue;
            }
            $names = implode(', ', array_map(static fn (Wire $wire): string => "{$wire->terminal->name} on {$wire->use->pin}", $wires));
            $fix = null;
            foreach ($wires as $wire) {
                $fix ??= Rewiring::fixFor($look->plan, $node, $wire->use, $look->catalogue);
            }
            yield Finding::fault(
                "The lines of {$wires[0]->module->name} of {$node->name} are on different buses",
                $wires[0]->at(),
                "{$names}: no bus of the board has all of these, and one of them alone does nothing.",
                'Put all of them on the pins of one bus.',
                $fix,
                about: [$wires[0]->module->id],
            );
        }
    }
}
