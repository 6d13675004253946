<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Particulars;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

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
    public function changeParticulars(Particulars $new, array $fields): void
    {
        $old = $this->draft->particulars;
        $this->inverse[] = Operation::changeParticulars($old->id, array_intersect_key($old->values(), array_flip($fields)));
        $this->draft->particulars = $new;
        $this->touched['plan'][$old->id] = true;
    }

    public function add(Thing $thing): void
    {
        $this->draft->put($thing);
        $this->inverse[] = Operation::remove($thing::kind(), $thing->id());
        $this->touch($thing);
    }

    /** @param  list<string>  $fields */
    public function change(Thing $old, Thing $new, array $fields): void
    {
        $this->draft->put($new);
        $this->inverse[] = Operation::change($old::kind(), $old->id(), array_intersect_key($old->values(), array_flip($fields)));
        $this->touch($new);
    }

    public function remove(Thing $thing): void
    {
        foreach (ThingKind::cases() as $kind) {
            foreach ($this->fieldsReferringTo($thing::kind(), $kind) as $name => $nullable) {
                foreach ($this->draft->all($kind) as $other) {
                    // An earlier removal of this same edit may have taken it already.
                    if ($this->draft->find($kind, $other->id()) === null || ($other->values()[$name] ?? null) !== $thing->id()) {
                        continue;
                    }
                    $nullable ? $this->clear($other, $name) : $this->remove($other);
                }
            }
        }
        $this->draft->drop($thing);
        $this->inverse[] = Operation::add($thing);
        $this->touch($thing);
    }

    public function done(): Edited
    {
        return new Edited(
            $this->before,
            $this->draft->plan(),
            array_reverse($this->inverse),
            array_map(static fn (array $ids): array => array_map(strval(...), array_keys($ids)), $this->touched),
        );
    }

    private function clear(Thing $thing, string $field): void
    {
        $values = $thing->values();
        $class = $thing::class;
        $this->change($thing, $class::from(new Values([...$values, $field => null])), [$field]);
    }

    /** @return array<string, bool> field name → whether it may be null */
    private function fieldsReferringTo(ThingKind $target, ThingKind $kind): array
    {
        $fields = [];
        foreach ($kind->shape()->fields as $name => $field) {
            if ($field->refers === $target) {
                $fields[$name] = $field->nullable;
            }
        }

        return $fields;
    }

    private function touch(Thing $thing): void
    {
        $this->touched[$thing::kind()->value][$thing->id()] = true;
    }
}
