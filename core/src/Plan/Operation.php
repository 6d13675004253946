<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use JsonSerializable;
use Rundfunk\Shape\PlanRefused;
use stdClass;

/** One small change to a plan. */
final readonly class Operation implements JsonSerializable
{
    /** @param  array<string, mixed>  $values for an addition all fields but the id; for a change the fields that change */
    private function __construct(
        public OperationKind $op,
        public ?ThingKind $kind,
        public string $id,
        public array $values = [],
    ) {
    }

    public static function add(Thing $thing): self
    {
        $values = $thing->values();
        unset($values['id']);

        return new self(OperationKind::Add, $thing::kind(), $thing->id(), $values);
    }

    /** @param  array<string, mixed>  $values */
    public static function change(ThingKind $kind, string $id, array $values): self
    {
        return new self(OperationKind::Change, $kind, $id, $values);
    }

    /** @param  array<string, mixed>  $values */
    public static function changeProperties(string $planId, array $values): self
    {
        return new self(OperationKind::Change, null, $planId, $values);
    }

    public static function remove(ThingKind $kind, string $id): self
    {
        return new self(OperationKind::Remove, $kind, $id);
    }

    /** @throws PlanRefused */
    public static function from(mixed $raw, string $place): self
    {
        if (! is_array($raw)) {
            throw PlanRefused::at($place, 'must be an object');
        }
        $op = is_string($raw['op'] ?? null) ? OperationKind::tryFrom($raw['op']) : null;
        if ($op === null) {
            throw PlanRefused::at($place.'/op', 'must be one of add, change, remove');
        }
        $kind = null;
        if (($raw['kind'] ?? null) !== 'plan') {
            $kind = is_string($raw['kind'] ?? null) ? ThingKind::tryFrom($raw['kind']) : null;
            if ($kind === null) {
                throw PlanRefused::at($place.'/kind', 'names no kind of thing that a plan holds');
            }
        }
        $id = $raw['id'] ?? null;
        if (! is_string($id)) {
            throw PlanRefused::at($place.'/id', 'must be an id');
        }
        $values = $raw['values'] ?? [];
        if (! is_array($values) || ($values !== [] && array_is_list($values))) {
            throw PlanRefused::at($place.'/values', 'must be an object');
        }
        if ($kind === null && $op !== OperationKind::Change) {
            throw PlanRefused::at($place.'/op', 'must be "change" for the plan itself');
        }
        $named = [];
        foreach ($values as $name => $value) {
            $named[(string) $name] = $value;
        }

        return new self($op, $kind, $id, $named);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $values = $this->values;
        if (($values['settings'] ?? null) === []) {
            $values['settings'] = new stdClass;
        }

        return [
            'op' => $this->op->value,
            'kind' => $this->kind->value ?? 'plan',
            'id' => $this->id,
            'values' => $values === [] ? new stdClass : $values,
        ];
    }
}
