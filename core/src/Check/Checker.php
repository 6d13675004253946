<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Runs the rules over a plan: over all of it, or over the subjects that an edit is felt by. */
final readonly class Checker
{
    public function __construct(private Knowledge $knowledge, private Rulebook $rules)
    {
    }

    public function check(Plan $plan): Findings
    {
        return (new Judging(new Look($plan, $this->knowledge), $this->rules, new Findings([])))->of(Subjects::whole($plan));
    }

    /** The findings after an edit, given those before it. The same list as a full check gives. */
    public function recheck(Edited $edited, Findings $before): Findings
    {
        $impact = $edited->impact();
        $known = array_keys($before->found) === $this->rules->keys();
        if ($impact->isOnEverything() || ! $known) {
            return $this->check($edited->plan);
        }
        if ($edited->kinds() === [ThingKind::Acceptance]) {
            return $before;
        }

        return (new Judging(new Look($edited->plan, $this->knowledge), $this->rules, $before))->of(Subjects::felt($edited));
    }
}
