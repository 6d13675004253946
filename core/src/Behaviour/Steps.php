<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** The steps of a sequence or a group. */
final readonly class Steps
{
    /** @return list<Control> in their order */
    public static function of(Plan $plan, Output $output): array
    {
        $steps = [];
        foreach ($output->kind->hasSteps() ? $output->stepIds : [] as $id) {
            $step = $plan->find(ThingKind::Control, $id);
            if ($step instanceof Control && $step->kind === ControlKind::Step) {
                $steps[] = $step;
            }
        }

        return $steps;
    }

    /** The sequence or group that a step is of. */
    public static function whole(Plan $plan, Control $step): ?Output
    {
        $output = Holder::of($plan, $step, 'stepIds');

        return $output?->kind->hasSteps() === true ? $output : null;
    }
}
