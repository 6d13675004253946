<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OperationKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;

/**
 * What others did to a plan since somebody looked at it. His edit can still be made unless it is at odds with that: the same
 * field of the same thing (for settings the same one), or something that it refers to and that is gone or became another
 * kind of thing.
 */
final readonly class Meanwhile
{
    /** Fields that say what a thing is: with another of these, what was meant for it may not fit. */
    private const NATURE = ['kind', 'class', 'medium', 'board'];

    /** @var array<string, array<string, true>> fields by thing, settings by "settings name" */
    private array $changed;

    /** @var array<string, true> by thing */
    private array $removed;

    /** @param  list<Operation>  $theirs  in the order in which they were made */
    public function __construct(private Plan $now, private array $theirs)
    {
        $changed = [];
        $removed = [];
        foreach ($theirs as $operation) {
            if ($operation->op === OperationKind::Remove) {
                $removed[self::key($operation->kind, $operation->id)] = true;
            } else {
                foreach (self::fields($operation) as $field) {
                    $changed[self::key($operation->kind, $operation->id)][$field] = true;
                }
            }
        }
        $this->changed = $changed;
        $this->removed = $removed;
    }

    /**
     * @param  list<Operation>  $mine
     * @return string|null why they cannot be made any more; null when they can
     */
    public function against(array $mine): ?string
    {
        // What the edit itself adds, nobody can have touched.
        $own = [];
        foreach ($mine as $operation) {
            $against = $operation->kind === null ? $this->properties($operation) : $this->operation($operation->kind, $operation, $own);
            if ($against !== null) {
                return $against;
            }
            $own[$operation->id] = true;
        }

        return null;
    }

    private function properties(Operation $operation): ?string
    {
        return array_intersect_key($this->changed[self::key(null, $operation->id)] ?? [], $operation->values) === [] ? null : 'The same of the plan was changed.';
    }

    /** @param  array<string, true>  $own  ids that the edit added or changed before */
    private function operation(ThingKind $kind, Operation $operation, array $own): ?string
    {
        $thing = $this->now->find($kind, $operation->id);
        if ($operation->op === OperationKind::Add) {
            return $thing === null ? $this->references($kind, $operation->values, $own) : 'There is something by that id already: it was proposed to somebody else as well.';
        }
        if ($thing === null) {
            return isset($own[$operation->id]) ? null : "The {$kind->value} is gone.";
        }
        $key = self::key($kind, $operation->id);
        if ($operation->op === OperationKind::Remove) {
            return isset($this->changed[$key]) || $this->touchesWithin($kind, $operation->id) ? "{$thing->label()} was changed, or something of it." : null;
        }
        if (array_intersect_key($this->changed[$key] ?? [], array_fill_keys(self::fields($operation), true)) !== []) {
            return "The same of {$thing->label()} was changed.";
        }
        if ($this->becameAnother($key)) {
            return "{$thing->label()} became something else.";
        }

        return $this->references($kind, [...$thing->values(), ...$operation->values], $own);
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  array<string, true>  $own
     */
    private function references(ThingKind $kind, array $values, array $own): ?string
    {
        foreach (Ties::of($kind) as $tie) {
            foreach ($tie->idsIn($values[$tie->field] ?? null) as $id) {
                if (isset($own[$id])) {
                    continue;
                }
                $other = $this->now->find($tie->to, $id);
                if ($other === null && isset($this->removed[self::key($tie->to, $id)])) {
                    return "The {$tie->to->value} that it is about is gone.";
                }
                if ($other !== null && $this->becameAnother(self::key($tie->to, $id))) {
                    return "{$other->label()} became something else.";
                }
            }
        }

        return null;
    }

    private function becameAnother(string $key): bool
    {
        return array_intersect_key($this->changed[$key] ?? [], array_fill_keys(self::NATURE, true)) !== [];
    }

    /** They added or changed something that would be removed with it. */
    private function touchesWithin(ThingKind $kind, string $id): bool
    {
        foreach ($this->theirs as $operation) {
            $thing = $operation->kind === null ? null : $this->now->find($operation->kind, $operation->id);
            while ($thing !== null && ($tie = Ties::home($thing::kind())) !== null) {
                $thing = $this->now->find($tie->to, $tie->ids($thing)[0] ?? '');
                if ($thing !== null && $thing::kind() === $kind && $thing->id() === $id) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> */
    private static function fields(Operation $operation): array
    {
        $fields = [];
        foreach ($operation->values as $field => $value) {
            if ($field === 'settings' && is_array($value)) {
                foreach (array_keys($value) as $name) {
                    $fields[] = "settings {$name}";
                }
            } else {
                $fields[] = $field;
            }
        }

        return $fields;
    }

    private static function key(?ThingKind $kind, string $id): string
    {
        return ($kind->value ?? 'plan').' '.$id;
    }
}
