<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Catalogue\SupplySort;
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
use Rundfunk\Power\Start;
use Rundfunk\Power\SupplyTree;

/** A battery or a strong supply that can melt its wires, and no fuse behind it. */
#[Finds('fuse-missing', WorkStep::PinsAndPower)]
final readonly class FuseMissing implements SupplyRule
{
    /** Up to here a supply of no more than 30 V counts as one of limited power, amperes. Source: IEC 62368-1 annex Q, from memory. */
    private const LIMITED_A = 8.0;

    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        $limitA = ($tree->limitMa($supply) ?? 0.0) / 1000;
        $isBattery = $tree->classOf($supply)->fused;
        $isStrong = $tree->classOf($supply)->sort === SupplySort::Source && $limitA > self::LIMITED_A && ($supply->cableMm2 === null || Fuses::cordA($supply->cableMm2) < $limitA);
        if ($supply->fuseA !== null || (! $isBattery && ! $isStrong)) {
            return [];
        }
        $fuseA = Fuses::behind($tree, $supply);

        return [Finding::danger(
            "{$supply->name} of {$look->plan->node($supply->nodeId)->name} has no fuse",
            At::supply($look, $supply, 'fuseA'),
            $isBattery ? 'A short circuit draws hundreds of amperes from it: the cable glows before anything else gives way.' : 'Into a short circuit it gives all of its '.Figures::significant($limitA).' A for as long as it lasts: the cable glows before anything else gives way.',
            ($isBattery ? 'A fuse within 0.2 m of its terminal' : 'A fuse at its terminal').', in the plus wire, no larger than the cable stands'.(Start::worst($tree, $supply) === null ? '' : ', and a slow one (time-lag), for something starts behind it').'; local code decides.',
            $fuseA === null ? null : Fix::change('Put a fuse of '.Figures::significant($fuseA).' A behind it', $supply, ['fuseA' => $fuseA]),
            numbers: ['fuse_a' => $fuseA],
        )];
    }
}
