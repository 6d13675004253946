<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\PinNeeds;
use Rundfunk\Pins\Rewire;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Levels\PartsFor;

/** Terminals still without a pin, for which there is room. */
#[Finds('pins-unassigned', WorkStep::PinsAndPower)]
final readonly class PinsUnassigned implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        if ($look->once(PinNeeds::class, static fn (): PinNeeds => new PinNeeds($look->plan, $look->catalogue))->areMet($node)) {
            return [];
        }
        $all = Rewiring::of($look->plan, $node, $look->catalogue);
        $new = array_values(array_filter(
            $all,
            static fn (Rewire $change): bool => $change->before === null,
        ));
        if ($new === []) {
            return [];
        }
        $count = count($new);

        return [Finding::warning(
            $count === 1 ? "One terminal of {$node->name} has no pin yet" : "{$count} terminals of {$node->name} have no pin yet",
            Spot::of($node, $node->name, 'pins'),
            'Not wired yet: '.implode(', ', array_map(static fn (Rewire $change): string => "{$change->module->name} {$change->terminal->name}", $new)).'.',
            'Assign proposes a pin for each.',
            new Fix($count === 1 ? "Put {$new[0]->words()}" : "Wire all {$count}", ...array_map(
                static fn (Rewire $change): Operation => $change->operation($look->plan),
                $all,
            ), ...PartsFor::wired($look, array_map(static fn (Rewire $change): PinUse => $change->use($look->plan), $all))),
            numbers: ['count' => $count],
        )];
    }
}
