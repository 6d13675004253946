<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\PinNeeds;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** A module needs a bus whose pins the board lacks, or has given away. */
#[Finds('bus-pins-missing', WorkStep::PinsAndPower)]
final readonly class BusPinsMissing implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $left = $look->once(PinNeeds::class, static fn (): PinNeeds => new PinNeeds($look->plan, $look->catalogue))->leftOver($node);
        $short = [];
        foreach ($left->demands ?? [] as $demand) {
            if ($demand->busLine === null) {
                continue;
            }
            ['module' => $module, 'terminal' => $terminal] = $demand->wants[0];
            $able = array_filter($left->board->pins ?? [], static fn (BoardPin $pin): bool => $pin->serves($terminal->needs));
            $names = array_map(static fn (BoardPin $pin): string => $pin->name, array_values($able));
            $nth = $short[$terminal->needs] = ($short[$terminal->needs] ?? 0) + 1;
            yield Finding::fault(
                "{$module->name} of {$node->name} cannot have its bus",
                Spot::of($module, "{$node->name}, {$module->name}"),
                $names === []
                    ? "{$terminal->name} needs ".strtoupper($terminal->needs).", which the {$left?->board->name} does not have."
                    : "{$terminal->name} can only go on ".implode(' or ', $names).', and what is there cannot go elsewhere.',
                $names === [] ? 'Choose another board for this node.' : 'Free '.implode(' or ', $names).': bus pins cannot be chosen, other pins can.',
                numbers: ['terminal' => $terminal->name, 'pins' => $names],
                // Who of several is left over may change with anything else of the node: that one is remains the same finding.
                about: [$node->id, $terminal->needs, (string) $nth],
            );
        }
    }
}
