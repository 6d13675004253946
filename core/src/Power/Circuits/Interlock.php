<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Look;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;

/** Outputs that must never be on together: said by either of them. */
final readonly class Interlock
{
    /** @return list<Output> those that must be off while it is on, in the order of the plan */
    public static function partners(Plan $plan, Output $output): array
    {
        $partners = [];
        foreach ($output->neverWithIds as $id) {
            $partners[$id] = true;
        }
        foreach (Ties::to(ThingKind::Output) as $tie) {
            foreach ($tie->from === ThingKind::Output && $tie->field === 'neverWithIds' ? $plan->referring($tie, $output->id) : [] as $other) {
                $partners[$other->id()] = true;
            }
        }
        unset($partners[$output->id]);

        return array_values(array_filter($plan->pick(Output::class, array_keys($partners)), static fn (Thing $one): bool => $one instanceof Output));
    }

    /** Its relay has a normally closed contact to spare for the other's line. */
    public static function isPossible(Look $look, Output $output): bool
    {
        $class = AllLoads::in($look)->classOf($output);

        return $class?->switches?->by === SwitchedBy::Relay && ! $class->keepsState && $output->contact === ContactForm::NormallyOpen;
    }
}
