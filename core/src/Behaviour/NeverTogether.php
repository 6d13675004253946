<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;

/** Outputs that must never be on together: said by either of them. */
final readonly class NeverTogether
{
    /** @return list<Output> those that must be off while it is on, in the order of the plan */
    public static function with(Plan $plan, Output $output): array
    {
        $others = [];
        foreach ($output->neverWithIds as $id) {
            $others[$id] = true;
        }
        foreach (Ties::naming($plan, ThingKind::Output, 'neverWithIds', $output->id) as $other) {
            $others[$other->id()] = true;
        }
        unset($others[$output->id]);

        return $plan->pick(Output::class, array_keys($others));
    }
}
