<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Plan;

/** Where the wires of a cable cross, and where they must not: said once for both sheets. */
final readonly class Crossing
{
    /** @return string|null null where no data goes through it */
    public static function words(Plan $plan, CableRun $run): ?string
    {
        $cores = array_values(array_filter($run->cable->uses, static fn (CableCore $one): bool => ! in_array($one->use, [CoreUse::Ground, CoreUse::Plus], true)));
        $crossed = array_values(array_filter($cores, static fn (CableCore $one): bool => $run->wantOf($one)?->crosses === true));
        if ($cores === []) {
            return null;
        }
        [$from, $to] = [$plan->node($run->cable->fromId)->name, $plan->node($run->cable->toId)->name];

        return $crossed === []
            ? "Nothing crosses in {$run->cable->name}: the same name at both ends."
            : "TX and RX cross here, between {$from} and {$to}, and nowhere else: wire the plug at {$from} straight, core by core, and name the other end by the list.";
    }
}
