<?php

declare(strict_types=1);

namespace Rundfunk\Build\Rule;

use Rundfunk\Build\Fingerprint;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** A node that was flashed with something else than it is to do now. */
#[Finds('flash-again', WorkStep::Nodes)]
final readonly class FlashAgain implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $now = $node->flashedOwn === null || $node->kind->isBought() ? null : Fingerprint::ofNode($look->plan, $node, $look->knowledge);
        if ($now === null || $now === $node->flashedOwn) {
            return [];
        }

        return [Finding::warning(
            "{$node->name} must be flashed again",
            Spot::of($node, $node->name, 'flashed'),
            'What it does, or on which pins, is not what it was flashed with: it still does as the plan said then.',
            'Export its header and behaviour, flash it, and say so.',
            Fix::change('It has been flashed now', $node, ['flashedOwn' => $now]),
        )];
    }
}
