<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Fuses;
use Rundfunk\Power\SupplyTree;

/** A battery that can melt its wires, and no fuse behind it. */
#[Finds('fuse-missing', WorkStep::PinsAndPower)]
final readonly class FuseMissing implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if (! $tree->classOf($supply)->fused || $supply->fuseA !== null) {
            return [];
        }
        $fuseA = Fuses::between($tree->load($supply)->peakMa / 1000, $supply->cableMm2);

        return [Finding::danger(
            "{$supply->name} of {$look->plan->node($supply->nodeId)->name} has no fuse",
            At::supply($look, $supply, 'fuseA'),
            'A short circuit draws hundreds of amperes from it: the cable glows before anything else gives way.',
            'A fuse within 0.2 m of its terminal, in the plus wire, no larger than the cable stands; local code decides.',
            $fuseA === null ? null : Fix::change('Put a fuse of '.Figures::significant($fuseA).' A behind it', $supply, ['fuseA' => $fuseA]),
            numbers: ['fuse_a' => $fuseA],
        )];
    }
}
