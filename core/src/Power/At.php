<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Supply;

/** Where a finding about a supply, or about what it feeds, is: the thing, with its node's name. */
final readonly class At
{
    public static function supply(Look $look, Supply $supply, ?string $field = null): Spot
    {
        return Spot::of($supply, "{$look->plan->node($supply->nodeId)->name}, {$supply->name}", $field);
    }

    public static function module(Look $look, Module $module, ?string $field = null): Spot
    {
        return Spot::of($module, "{$look->plan->node($module->nodeId)->name}, {$module->name}", $field);
    }
}
