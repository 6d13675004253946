<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** What an edit made of a plan. */
final class Edited
{
    private ?Impact $impact = null;

    /**
     * @param  Plan  $before  the plan as it was
     * @param  list<Operation>  $inverse  would undo it
     * @param  array<string, list<string>>  $touched  ids by kind ("plan" for the plan itself): added, changed or removed
     */
    public function __construct(public readonly Plan $before, public readonly Plan $plan, public readonly array $inverse, public readonly array $touched)
    {
    }

    /** @return list<ThingKind> */
    public function kinds(): array
    {
        $kinds = [];
        foreach (ThingKind::cases() as $kind) {
            if (isset($this->touched[$kind->value])) {
                $kinds[] = $kind;
            }
        }

        return $kinds;
    }

    /** How far it is felt: worked out once, for the rules and the views alike. */
    public function impact(): Impact
    {
        return $this->impact ??= Impact::of($this);
    }

    public function touchesProperties(): bool
    {
        return isset($this->touched['plan']);
    }
}
