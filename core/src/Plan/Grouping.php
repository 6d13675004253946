<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/**
 * The things of one kind by what one of their fields holds. The first few times they are picked out of the engine's own list
 * of the field, or of what is kept of it, for an edit asks for few; whoever asks for more gets an index of all. Where all of them
 * were put in order, for they are all to be looked at, they are parted in one go.
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

    private bool $isParted = false;

    /**
     * @param  class-string<T>  $class
     * @param  Things<T>  $things  all of the class
     * @param  array<string, string|null>|null  $column  what the field of each holds, by id; null until all of it was asked for
     * @param  list<T>|null  $inOrder  all of the class, where somebody put them in order
     */
    private function __construct(private readonly string $class, private readonly string $field, private readonly Things $things, private ?array $column, private readonly ?array $inOrder = null)
    {
    }

    /**
     * @template S of Thing
     *
     * @param  class-string<S>  $class
     * @param  Things<S>  $things  all of the class
     * @param  list<S>|null  $inOrder  the same, where somebody put them in order
     * @return self<S>
     */
    public static function by(string $class, string $field, Things $things, ?array $inOrder = null): self
    {
        return new self($class, $field, $things, null, $inOrder);
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
        if ($this->inOrder !== null && ! $this->isParted) {
            $this->groups = self::part($this->inOrder, $this->field);
            $this->isParted = true;
        }

        return $this->groups[$id] ??= $this->isParted ? [] : InOrder::of($this->class, $this->group($id));
    }

    /**
     * @template S of Thing
     *
     * @param  list<S>  $inOrder
     * @return array<string, list<S>> by what the field holds
     */
    private static function part(array $inOrder, string $field): array
    {
        /** @var list<string|null> $column */
        $column = array_column($inOrder, $field);
        $groups = [];
        foreach ($column as $at => $group) {
            if ($group !== null) {
                $groups[$group][] = $inOrder[$at];
            }
        }

        return $groups;
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
            if ($group !== null) {
                $ids[$group][] = $thing;
            }
        }

        return $ids;
    }
}
