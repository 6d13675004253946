<?php

declare(strict_types=1);

namespace Rundfunk\Build\Rule;

use Rundfunk\Build\Flashed;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;

/** A node that was flashed with something else than the plan says now. */
#[Finds('flash-again', WorkStep::Nodes)]
final readonly class FlashAgain implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->nodes() as $node) {
            $changed = $node->flashedOwn === null || $node->kind->isBought() ? [] : Flashed::changed($look->plan, $node, $look->knowledge);
            if ($changed === []) {
                continue;
            }

            yield Finding::warning(
                "{$node->name} must be flashed again",
                Spot::of($node, $node->name, 'flashed'),
                'Since it was flashed, this has changed: '.implode('; ', $changed).'. Until it is flashed, its ends and the others do not agree, and what you would see is silence.',
                'Export its header and behaviour, flash it, and say so.',
                Fix::change('It has been flashed now', $node, Flashed::now($look->plan, $node, $look->knowledge)),
                numbers: ['changed' => $changed],
            );
        }
    }
}
