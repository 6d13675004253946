<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Bond;

/** The running state of one edit: the draft, what was touched, and how to take it all back. */
final class EditInProgress
{
    /** @var list<Operation> newest first */
    private array $inverse = [];

    /** @var array<string, array<string, true>> */
    private array $touched = [];

    public readonly PlanDraft $draft;

    public function __construct(private readonly Plan $before)
    {
        $this->draft = $before->draft();
    }

    public function holds(string $id): bool
    {
        foreach (ThingKind::cases() as $kind) {
            if ($this->draft->find($kind, $id) !== null) {
                return true;
            }
        }

        return false;
    }

    /** @param  list<string>  $fields */
    public function changeProperties(PlanProperties $new, array $fields): void
    {
        $old = $this->draft->properties;
        $this->inverse[] = Operation::changeProperties($old->id, array_intersect_key($old->values(), array_flip($fields)));
        $this->draft->properties = $new;
        $this->touched['plan'][$old->id] = true;
    }

    public function add(Thing $thing): void
    {
        $this->draft->put($thing);
        $this->inverse[] = Operation::remove($thing::kind(), $thing->id());
        // What it took for its own was there before it, and stays when it goes again.
        $held = array_filter(Ties::of($thing::kind()), static fn (Tie $tie): bool => $tie->bond === Bond::Holds && $tie->ids($thing) !== []);
        if ($held !== []) {
            $this->inverse[] = Operation::change($thing::kind(), $thing->id(), array_fill_keys(array_map(static fn (Tie $tie): string => $tie->field, $held), []));
        }
        $this->touch($thing);
    }

    /** @param  list<string>  $fields */
    public function change(Thing $old, Thing $new, array $fields): void
    {
        $this->draft->put($new);
        $this->inverse[] = Operation::change($old::kind(), $old->id(), array_intersect_key($old->values(), array_flip($fields)));
        $this->touch($new);
    }

    /** Takes with it what cannot be without it and what is its own, and clears what merely mentions it. */
    public function remove(Thing $thing): void
    {
        foreach (Ties::to($thing::kind()) as $tie) {
            foreach ($this->referring($tie, $thing->id()) as $other) {
                $without = $tie->without($other, $thing->id());
                $without === null ? $this->remove($other) : $this->change($other, $without, [$tie->field]);
            }
        }
        foreach (Ties::of($thing::kind()) as $tie) {
            foreach ($tie->bond === Bond::Holds ? $tie->ids($thing) : [] as $id) {
                $own = $this->draft->find($tie->to, $id);
                if ($own !== null) {
                    $this->remove($own);
                }
            }
        }
        $thing = $this->draft->find($thing::kind(), $thing->id()) ?? $thing;
        $this->draft->drop($thing);
        $this->inverse[] = Operation::add($thing);
        $this->touch($thing);
    }

    /** @return list<string> names of what is of a class that the plan describes, now */
    public function usersOf(Thing $thing): array
    {
        $names = [];
        foreach (Ties::to($thing::kind()) as $tie) {
            foreach ($tie->bond === Bond::Uses ? $this->referring($tie, $thing->id()) : [] as $other) {
                $names[] = $other->label();
            }
        }

        return $names;
    }

    public function done(): Edited
    {
        $touched = array_map(static fn (array $ids): array => array_map(strval(...), array_keys($ids)), $this->touched);

        return new Edited($this->before, $this->draft->after($this->before, $touched), array_reverse($this->inverse), $touched);
    }

    /** @return iterable<Thing> what refers to it now: of what did before, and of what this edit touched */
    private function referring(Tie $tie, string $id): iterable
    {
        $candidates = [...array_map(static fn (Thing $thing): string => $thing->id(), $this->before->referring($tie, $id)), ...array_keys($this->touched[$tie->from->value] ?? [])];
        foreach (array_unique($candidates) as $candidate) {
            // An earlier removal of this same edit may have taken it already.
            $other = $this->draft->find($tie->from, $candidate);
            if ($other !== null && in_array($id, $tie->ids($other), true)) {
                yield $other;
            }
        }
    }

    private function touch(Thing $thing): void
    {
        $this->touched[$thing::kind()->value][$thing->id()] = true;
    }
}
