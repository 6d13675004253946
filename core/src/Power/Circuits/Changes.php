<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\Board;
use Rundfunk\Check\Look;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Shape\Values;

/** How often an output changes by itself, which memory that keeps its state must bear. Writes: trade book §14. */
final readonly class Changes
{
    public const EEPROM_WRITES = 100_000;

    public const FLASH_WRITES = 10_000;

    /** @return float times a day, by timers; what people press nobody can say */
    public static function perDay(Look $look, Output $output): float
    {
        $times = 0.0;
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            if ($control->kind === ControlKind::Timer) {
                $settings = new Values($control->settings);
                $every = $settings->wholeOrNull('everyMin');
                $times += $every === null || $every === 0 ? ($settings->textOrNull('at') === null ? 0.0 : 1.0) : 1_440 / $every;
                // A pulse is on and off again.
                $times += $route->pulseMs === null ? 0.0 : ($every === null || $every === 0 ? 1.0 : 1_440 / $every);
            }
        }

        return $times;
    }

    /** An 8-bit board has a memory for that; the others keep it in flash. */
    public static function hasEeprom(Board $board): bool
    {
        return $board->memoryKb <= 8;
    }
}
