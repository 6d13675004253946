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
use Rundfunk\Power\Start;
use Rundfunk\Power\SupplyTree;

/** A fuse that blows for nothing, or one that lets the supply or the cable burn first. */
#[Finds('fuse-unfit', WorkStep::PinsAndPower)]
final readonly class FuseUnfit implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        $fuseA = $supply->fuseA;
        if ($fuseA === null) {
            return [];
        }
        $cableA = $supply->cableMm2 === null ? INF : Fuses::cordA($supply->cableMm2);
        $right = Fuses::behind($tree, $supply);
        $fix = $right === null ? null : Fix::change('Take a fuse of '.Figures::significant($right).' A', $supply, ['fuseA' => $right]);

        return match (true) {
            $fuseA < Fuses::leastA($tree, $supply) - 1e-6 => [self::blows($supply, $tree, $look, $fix)],
            $fuseA > $cableA + 1e-6 => [Finding::danger(
                "The cable of {$supply->name} burns before its fuse blows",
                At::supply($look, $supply, 'fuseA'),
                Figures::significant((float) $supply->cableMm2).' mm² carry '.Figures::significant($cableA).' A, and the fuse holds at '.Figures::significant($fuseA).'.',
                'A smaller fuse, or thicker cores; local code decides.',
                $fix,
                numbers: ['fuse_a' => $fuseA, 'cable_a' => $cableA],
            )],
            $fuseA > Fuses::mostA($tree, $supply) + 1e-6 => [Finding::warning(
                "The fuse of {$supply->name} saves nothing",
                At::supply($look, $supply, 'fuseA'),
                'It holds at '.Figures::significant($fuseA).' A, and no more than '.Figures::significant(($tree->limitMa($supply) ?? 0.0) / 1000).' A may be drawn: a fault that takes less goes on for as long as the battery lasts.',
                'A fuse by what is drawn, and by the thinnest wire behind it.',
                $fix,
                numbers: ['fuse_a' => $fuseA, 'most_a' => Fuses::mostA($tree, $supply)],
            )],
            default => [],
        };
    }

    /** What is drawn for long, or for the moment of a start. */
    private static function blows(Supply $supply, SupplyTree $tree, Look $look, ?Fix $fix): Finding
    {
        $fuse = Figures::significant($supply->fuseA ?? 0.0);
        $peakMa = $tree->load($supply)->peakMa;
        $starts = ($supply->fuseA ?? 0.0) < Fuses::ABOVE_LOAD * $peakMa / 1000 - 1e-6 ? null : Start::worst($tree, $supply);

        return Finding::warning(
            "The fuse of {$supply->name} blows when ".($starts === null ? 'all is on' : "{$starts->load->name} starts"),
            At::supply($look, $supply, 'fuseA'),
            $starts === null
                ? "{$fuse} A are less than 1.25 times the ".Figures::significant($peakMa).' mA that are drawn at most.'
                : "A slow fuse of {$fuse} A holds four times that for a moment, and ".Figures::significant($starts->milliamperes / 1000).' A flow then.',
            'The next larger fuse that the cable stands.',
            $fix,
            numbers: ['fuse_a' => $supply->fuseA, 'least_a' => round(Fuses::leastA($tree, $supply), 3)],
        );
    }
}
