<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Power\Levels\Mending;
use Rundfunk\Power\Levels\Wiring;

/** What the rules about levels share. */
abstract readonly class LevelRule
{
    /** No part stands at its module: as nearly everywhere in a large plan. */
    protected static function isBare(Wire $wire, Look $look): bool
    {
        return $look->plan->partsOf($wire->module) === [];
    }

    /** Puts right what stands in a wire; null where there is nothing to be done to it. */
    protected static function mend(Look $look, Wire $wire): ?Fix
    {
        $mending = Mending::of(Wiring::in($look), $wire);

        return $mending->operations === [] ? null : new Fix($mending->label, ...$mending->operations);
    }
}
