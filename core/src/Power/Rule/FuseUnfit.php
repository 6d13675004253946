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

/** A fuse that blows for nothing, or one that lets the supply or the cable burn first. */
#[Finds('fuse-unfit', WorkStep::PinsAndPower)]
final readonly class FuseUnfit implements SupplyRule
{
    /** A fuse may hold at so many times what may be drawn. Common practice. */
    private const ABOVE_LIMIT = 2.0;

    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        if ($supply->fuseA === null) {
            return [];
        }
        $leastA = Fuses::ABOVE_LOAD * $tree->load($supply)->peakMa / 1000;
        $cableA = $supply->cableMm2 === null ? null : Fuses::cordA($supply->cableMm2);
        $small = $supply->fuseA < $leastA - 1e-6;
        $limitA = $tree->classOf($supply)->fused ? ($tree->limitMa($supply) ?? INF) / 1000 : null;
        $outlivesCable = $cableA !== null && $supply->fuseA > $cableA + 1e-6;
        $outlivesIt = $limitA !== null && $supply->fuseA > self::ABOVE_LIMIT * $limitA + 1e-6;
        if (! $small && ! $outlivesCable && ! $outlivesIt) {
            return [];
        }
        $right = Fuses::between($tree->load($supply)->peakMa / 1000, $supply->cableMm2);
        $fix = $right === null ? null : Fix::change('Take a fuse of '.Figures::significant($right).' A', $supply, ['fuseA' => $right]);
        $fuse = Figures::significant($supply->fuseA);

        if (! $small && ! $outlivesCable) {
            return [Finding::warning(
                "The fuse of {$supply->name} saves nothing",
                At::supply($look, $supply, 'fuseA'),
                "It holds at {$fuse} A, and no more than ".Figures::significant((float) $limitA).' A may be drawn: a fault that takes less goes on for as long as the battery lasts.',
                'A fuse by what is drawn, and by the thinnest wire behind it.',
                $fix,
                numbers: ['fuse_a' => $supply->fuseA, 'most_a' => self::ABOVE_LIMIT * (float) $limitA],
            )];
        }

        return [$small
            ? Finding::warning("The fuse of {$supply->name} blows when all is on", At::supply($look, $supply, 'fuseA'), "{$fuse} A are less than 1.25 times the ".Figures::significant($tree->load($supply)->peakMa).' mA that are drawn at most.', 'The next larger fuse that the cable stands.', $fix, numbers: ['fuse_a' => $supply->fuseA, 'least_a' => round($leastA, 3)])
            : Finding::danger("The cable of {$supply->name} burns before its fuse blows", At::supply($look, $supply, 'fuseA'), Figures::significant($supply->cableMm2).' mm² carry '.Figures::significant($cableA).' A, and the fuse holds at '.$fuse.'.', 'A smaller fuse, or thicker cores; local code decides.', $fix, numbers: ['fuse_a' => $supply->fuseA, 'cable_a' => $cableA]),
        ];
    }
}
