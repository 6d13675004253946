<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Values;

/** A plan being put together or edited: the one mutable form, never handed on. */
final class PlanDraft
{
    /** @param  array<string, array<string, Thing>>  $things */
    public function __construct(public PlanProperties $properties, private array $things = [])
    {
    }

    public function find(ThingKind $kind, string $id): ?Thing
    {
        return $this->things[$kind->value][$id] ?? null;
    }

    public function count(ThingKind $kind): int
    {
        return count($this->things[$kind->value] ?? []);
    }

    /** @return array<string, Thing> */
    public function all(ThingKind $kind): array
    {
        return $this->things[$kind->value] ?? [];
    }

    public function put(Thing $thing): void
    {
        $this->things[$thing::kind()->value][$thing->id()] = $thing;
    }

    /**
     * Puts a thing back with some values otherwise.
     *
     * @template T of Thing
     *
     * @param  T  $thing
     * @param  array<string, mixed>  $values
     * @return T
     */
    public function change(Thing $thing, array $values): Thing
    {
        $changed = $thing::from(new Values([...$thing->values(), ...$values]));
        $this->put($changed);

        return $changed;
    }

    public function drop(Thing $thing): void
    {
        unset($this->things[$thing::kind()->value][$thing->id()]);
    }

    public function plan(): Plan
    {
        return new Plan($this->properties, $this->things);
    }

    /**
     * The plan as it is now, where it is that one with few things otherwise.
     *
     * @param  array<string, list<string>>  $touched  ids by kind
     */
    public function after(Plan $before, array $touched): Plan
    {
        return $before->edited($this->properties, $this->things, $touched);
    }
}
