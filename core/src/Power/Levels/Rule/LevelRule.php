<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Power\Levels\LevelParts;
use Rundfunk\Power\Levels\WireLevels;
use Rundfunk\Power\Levels\Wiring;
use Rundfunk\Power\SupplyTree;

/** What the rules about levels share. */
abstract readonly class LevelRule
{
    protected static function wiring(Look $look): Wiring
    {
        return $look->once(Wiring::class, static fn (): Wiring => new Wiring($look->plan, $look->catalogue, SupplyTree::in($look)));
    }

    /** Puts right what stands between the ends. */
    protected static function fix(Look $look, WireLevels $levels): Fix
    {
        $parts = LevelParts::fitting($look->plan, $levels);

        return new Fix('Put there: '.$parts->words, ...$parts->operations);
    }
}
