<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Closure;
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
        return self::uninterrupted(fn (): Findings => (new Judging(new Look($plan, $this->knowledge), $this->rules, new Findings([])))->of(Subjects::whole($plan)));
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

    /**
     * The engine looks for things that hold only each other whenever ten thousand more are held. A look at a plan holds all that it
     * works out until it is over: five such searches of a plan of 500 nodes find nothing and take a fourteenth of the time.
     *
     * @param  Closure(): Findings  $work
     */
    private static function uninterrupted(Closure $work): Findings
    {
        $searches = gc_enabled();
        gc_disable();
        try {
            return $work();
        } finally {
            if ($searches) {
                gc_enable();
            }
        }
    }
}
