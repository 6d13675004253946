<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\SupplySort;
use Rundfunk\Plan\Load as PlanLoad;
use Rundfunk\Plan\Supply;

/** The worst moment of a supply: a motor or a filament starts while all else is on. */
final readonly class Start
{
    /** @param  float  $milliamperes  all that flows then, if the supply gives it */
    private function __construct(public PlanLoad $load, public float $milliamperes)
    {
    }

    /** When of all that starts slowly that starts which takes most; whatever one output switches starts together. Null where nothing does. */
    public static function worst(SupplyTree $tree, Supply $supply): ?self
    {
        $extraMa = [];
        $first = [];
        foreach (self::loadsOn($tree, $supply) as $take) {
            $load = $take->by;
            if ($load instanceof PlanLoad && $load->sort->startsSlowly() && $take->load->peakMa > 0.0) {
                $key = $load->outputId ?? $load->id;
                $extraMa[$key] = ($extraMa[$key] ?? 0.0) + $take->load->peakMa * ($load->sort->inrush() - 1.0);
                $first[$key] ??= $load;
            }
        }
        arsort($extraMa);
        $key = array_key_first($extraMa);

        return $key === null ? null : new self($first[$key], $tree->load($supply)->peakMa + $extraMa[$key]);
    }

    /** @return iterable<Take> on it itself, and on cables that give on what it gives */
    private static function loadsOn(SupplyTree $tree, Supply $supply): iterable
    {
        yield from $tree->loadsOn($supply);
        foreach ($tree->children($supply) as $child) {
            if ($tree->classOf($child)->sort === SupplySort::Line && ! $tree->isCircular($child)) {
                yield from self::loadsOn($tree, $child);
            }
        }
    }
}
