<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;

/** What a module's terminals carry, and which way round: one truth for the wiring table and the header. */
final readonly class OnTerminal
{
    /** @return array<string, list<Control|Output>> by terminal: a sensor has several readings on one, a motor several terminals */
    public static function carried(Plan $plan, Module $module, ModuleClass $class): array
    {
        $carried = [];
        foreach ($plan->having(Output::class, 'moduleId', $module->id) as $output) {
            if ($output->channel !== null) {
                $carried[$output->channel][] = $output;
            }
        }
        foreach ($plan->having(Control::class, 'moduleId', $module->id) as $control) {
            if ($control->terminal !== null) {
                $carried[$control->terminal][] = $control;
            }
        }

        foreach ($class->terminals as $terminal) {
            if ($terminal->with !== null && isset($carried[$terminal->with])) {
                $carried[$terminal->name] = $carried[$terminal->with];
            }
        }

        return $carried;
    }

    /** @param  list<Control|Output>  $things */
    public static function names(array $things): string
    {
        return implode(', ', array_map(static fn (Control|Output $thing): string => $thing->name, $things));
    }
}
