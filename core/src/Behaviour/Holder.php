<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;

/** The output that has a control as its own: a step, a state. */
final readonly class Holder
{
    /** @param  string  $field  of the output: "stepIds", "stateIds" */
    public static function of(Plan $plan, Control $control, string $field): ?Output
    {
        foreach (Ties::naming($plan, ThingKind::Output, $field, $control->id) as $output) {
            if ($output instanceof Output) {
                return $output;
            }
        }

        return null;
    }
}
