<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Values;

/** A plan being put together or edited: the one mutable form, never handed on. */
final class PlanDraft
{
    /** @var array<string, array<string, Thing|null>> by kind, then by id: what was put in; null for what was dropped */
    private array $changes = [];

    /** @var array<string, int> by kind: of those that were counted or changed */
    private array $counts = [];

    /** @param  array<string, Things<Thing>>  $things  by kind */
    public function __construct(public PlanProperties $properties, private array $things = [])
    {
    }

    public function find(ThingKind $kind, string $id): ?Thing
    {
        $changes = $this->changes[$kind->value] ?? [];

        return array_key_exists($id, $changes) ? $changes[$id] : ($this->things[$kind->value] ?? null)?->find($id);
    }

    public function count(ThingKind $kind): int
    {
        return $this->counts[$kind->value] ??= ($this->things[$kind->value] ?? null)?->count() ?? 0;
    }

    /** @return array<string, Thing> */
    public function all(ThingKind $kind): array
    {
        return $this->things()[$kind->value]->all();
    }

    public function put(Thing $thing): void
    {
        $kind = $thing::kind();
        $this->counts[$kind->value] = $this->count($kind) + ($this->find($kind, $thing->id()) === null ? 1 : 0);
        $this->changes[$kind->value][$thing->id()] = $thing;
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
        $kind = $thing::kind();
        $this->counts[$kind->value] = $this->count($kind) - ($this->find($kind, $thing->id()) === null ? 0 : 1);
        $this->changes[$kind->value][$thing->id()] = null;
    }

    public function plan(): Plan
    {
        return new Plan($this->properties, $this->things());
    }

    /**
     * The plan as it is now, where it is that one with few things otherwise.
     *
     * @param  array<string, list<string>>  $touched  ids by kind
     */
    public function after(Plan $before, array $touched): Plan
    {
        return $before->edited($this->properties, $this->things(), $touched);
    }

    /** @return array<string, Things<Thing>> by kind */
    private function things(): array
    {
        foreach ($this->changes as $kind => $changes) {
            $before = $this->things[$kind] ?? Things::of(ThingKind::from($kind)->thing(), []);
            $this->things[$kind] = $before->with($changes);
        }
        $this->changes = [];

        return $this->things;
    }
}
