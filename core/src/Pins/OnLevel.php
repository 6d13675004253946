<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Signal;
use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;

/** The level of a board's pin at which what hangs on it is on: a transistor between turns that over. */
final readonly class OnLevel
{
    /** @return Level|null null for what no level switches: a control, a bus, bits and pulses */
    public static function of(Plan $plan, Module $module, ModuleClass $class, Terminal $terminal): ?Level
    {
        if ($terminal->carries !== 'output' || ! in_array($terminal->signal, [null, Signal::Pwm, Signal::Tone], true)) {
            return null;
        }

        return self::switchesLow($plan, $module, $class, $terminal->name) ? Level::Low : Level::High;
    }

    /** What is on it hangs on the normally closed contact, so that the coil switches it off. */
    private static function hangsOnClosed(Plan $plan, Module $module, ModuleClass $class, string $terminal): bool
    {
        if ($class->switches?->by !== SwitchedBy::Relay) {
            return false;
        }
        foreach ($plan->having(Output::class, 'moduleId', $module->id) as $output) {
            if ($output->channel === $terminal) {
                return $output->contact === ContactForm::NormallyClosed;
            }
        }

        return false;
    }

    /** Whether a low of the board's pin switches it on. */
    public static function switchesLow(Plan $plan, Module $module, ModuleClass $class, string $terminal): bool
    {
        $drivers = array_filter($plan->partsOf($module), static fn (Part $part): bool => $part->kind === PartKind::Driver && $part->terminal === $terminal);

        return ($class->activeLow !== (count($drivers) % 2 === 1)) !== self::hangsOnClosed($plan, $module, $class, $terminal);
    }
}
