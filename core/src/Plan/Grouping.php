<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/**
 * The things of one kind by what one of their fields holds. The first few times they are picked out of the engine's own list
 * of the field, or of what is kept of it, for an edit asks for few; whoever asks for more gets an index of all.
 *
 * @template T of Thing
 */
final class Grouping
{
    private const PICKED_OUT = 8;

    /** @var array<string, list<T>> by what the field holds: those that were asked for */
    private array $groups = [];

    /** @var array<string, list<string>>|null ids by what the field holds, once many were asked for */
    private ?array $ids = null;

    /**
     * @param  class-string<T>  $class
     * @param  Things<T>  $things  all of the class
     * @param  array<string, string|null>|null  $column  what the field of each holds, by id; null until all of it was asked for
     */
    private function __construct(private readonly string $class, private readonly string $field, private readonly Things $things, private ?array $column)
    {
    }

    /**
     * @template S of Thing
     *
     * @param  class-string<S>  $class
     * @param  Things<S>  $things  all of the class
     * @return self<S>
     */
    public static function by(string $class, string $field, Things $things): self
    {
        return new self($class, $field, $things, null);
    }

    /**
     * What became of it by an edit: the engine's list is not made anew for the few that changed.
     *
     * @param  Things<T>  $things  all that there are now
     * @param  list<string>  $touched  ids of what came, changed or went
     * @return self<T>
     */
    public function edited(Things $things, array $touched): self
    {
        if ($this->column === null) {
            return self::by($this->class, $this->field, $things);
        }
        $column = $this->column;
        foreach ($touched as $id) {
            unset($column[$id]);
            /** @var array<string, string|null> $now */
            $now = array_column(array_filter([$things->find($id)]), $this->field, 'id');
            $column += $now;
        }

        return new self($this->class, $this->field, $things, $column);
    }

    /** @return array<string, string|null> what the field of each holds, by id */
    public function column(): array
    {
        if ($this->column === null) {
            /** @var array<string, string|null> $column */
            $column = $this->things->column($this->field);
            $this->column = $column;
        }

        return $this->column;
    }

    /** @return list<T> in order */
    public function of(string $id): array
    {
        return $this->groups[$id] ??= InOrder::of($this->class, $this->group($id));
    }

    /** @return list<T> */
    private function group(string $id): array
    {
        if ($this->ids === null && count($this->groups) < self::PICKED_OUT) {
            $ids = $this->column === null && $this->things->arePacked() ? $this->things->holding($this->field, $id) : array_keys($this->column(), $id, true);
        } else {
            $ids = ($this->ids ??= $this->index())[$id] ?? [];
        }
        $group = [];
        foreach ($ids as $one) {
            $group[] = $this->things->find($one) ?? throw NotInPlan::thing($this->class::kind(), $one);
        }

        return $group;
    }

    /** @return array<string, list<string>> */
    private function index(): array
    {
        $ids = [];
        foreach ($this->column() as $thing => $group) {
            $ids[$group ?? ''][] = $thing;
        }

        return $ids;
    }
}
