<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Pull;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;

/** What holds the pin of a terminal while nothing drives it: a resistor that somebody put there goes before what the module does by itself. */
final readonly class Pulling
{
    public static function terminal(Plan $plan, Module $module, Terminal $terminal): Terminal
    {
        foreach ($plan->partsOf($module) as $part) {
            $pull = $part->terminal !== $terminal->name ? null : match ($part->kind) {
                PartKind::PullUp => Pull::Up,
                // The base of a transistor keeps a floating pin near ground.
                PartKind::PullDown, PartKind::Driver => Pull::Down,
                default => null,
            };
            if ($pull !== null) {
                return $terminal->pulledBy($pull);
            }
        }

        return $terminal;
    }
}
