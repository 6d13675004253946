<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Runs the rules over a plan: all of them, or only those that an edit can have changed. */
final readonly class Checker
{
    /** @var list<Rule> */
    private array $rules;

    public function __construct(private Knowledge $knowledge)
    {
        $this->rules = Rules::all($knowledge->media);
    }

    public function check(Plan $plan): Findings
    {
        $byRule = [];
        foreach ($this->rules as $rule) {
            $byRule[$rule->key()] = $this->run($rule, $plan);
        }

        return new Findings($byRule);
    }

    /** The findings after an edit, given those before it. The same list as a full check gives. */
    public function recheck(Edited $edited, Findings $before): Findings
    {
        $known = $before->byRule();
        $kinds = $edited->kinds();
        $around = $edited->reach()->surroundings();
        $byRule = [];
        foreach ($this->rules as $rule) {
            $touched = $edited->touchesParticulars() || array_filter($rule->reads(), static fn (ThingKind $kind): bool => in_array($kind, $kinds, true)) !== [];
            $found = $known[$rule->key()] ?? null;
            $byRule[$rule->key()] = match (true) {
                $found === null => $this->run($rule, $edited->plan),
                $touched => $this->again($rule, $edited, $around, $found),
                default => $found,
            };
        }

        return new Findings($byRule);
    }

    /**
     * @param  Plan|null  $around  where those rules look that look nearby
     * @param  list<Finding>  $found  before the edit
     * @return list<Finding>
     */
    private function again(Rule $rule, Edited $edited, ?Plan $around, array $found): array
    {
        $reach = $edited->reach();
        if ($around === null || ! ($rule instanceof LooksNearby || $rule instanceof LooksNearbyFirst)) {
            return $this->run($rule, $edited->plan);
        }
        $again = [
            ...array_filter($found, static fn (Finding $finding): bool => ! $reach->feels($finding->at->kind, $finding->at->id)),
            ...array_filter($this->run($rule, $around), static fn (Finding $finding): bool => $reach->feels($finding->at->kind, $finding->at->id)),
        ];

        return $again !== [] && $rule instanceof LooksNearbyFirst ? $this->run($rule, $edited->plan) : $again;
    }

    /** @return list<Finding> */
    private function run(Rule $rule, Plan $plan): array
    {
        $found = [];
        foreach ($rule->check($plan, $this->knowledge) as $finding) {
            $found[] = $finding;
        }

        return $found;
    }
}
