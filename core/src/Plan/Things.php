<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Closure;
use Countable;
use ReflectionMethod;
use ReflectionParameter;

/**
 * The things of one kind in a plan, in the plan's own order. What comes from columns, a list for each field, is put together
 * only where somebody asks for it: an edit looks at a few dozen things of thousands, and most of those by what one field holds.
 *
 * @template T of Thing
 */
final class Things implements Countable
{
    /** @var array<string, T> of the columns: those that were asked for */
    private array $made = [];

    /**
     * @param  class-string<T>  $class
     * @param  array<string, T>  $fresh  by id: instead of what is in the columns, or after it
     * @param  array<string, true>  $gone  ids of what is in the columns and no more
     */
    private function __construct(private readonly string $class, private readonly ?Columns $columns, private readonly array $fresh, private readonly array $gone)
    {
    }

    /**
     * @template S of Thing
     *
     * @param  class-string<S>  $class
     * @param  array<string, S>  $things  by id
     * @return self<S>
     */
    public static function of(string $class, array $things): self
    {
        return new self($class, null, $things, []);
    }

    /**
     * @template S of Thing
     *
     * @param  class-string<S>  $class
     * @param  Columns  $columns  of what {@see packed()} gave
     * @return self<S>
     */
    public static function from(string $class, Columns $columns): self
    {
        return new self($class, $columns, [], []);
    }

    /**
     * @param  Closure(list<mixed>): string  $pack
     * @return array{ids: list<string>, blocks: array<string, list<string>>} all of them, as {@see Columns} are constructed
     */
    public function packed(Closure $pack): array
    {
        return Columns::packed($this->all(), self::fields($this->class), $pack);
    }

    /**
     * @param  array<string, T|null>  $changes  by id: what came or changed; null for what went
     * @return self<T>
     */
    public function with(array $changes): self
    {
        $places = $this->columns?->places() ?? [];
        $fresh = $this->fresh;
        $gone = $this->gone;
        foreach ($changes as $id => $thing) {
            if ($thing !== null) {
                unset($gone[$id]);
                $fresh[$id] = $thing;

                continue;
            }
            unset($fresh[$id]);
            if (isset($places[$id])) {
                $gone[$id] = true;
            }
        }
        $changed = new self($this->class, $this->columns, $fresh, $gone);
        $changed->made = $this->made;

        return $changed;
    }

    public function has(string $id): bool
    {
        return isset($this->fresh[$id]) || ($this->columns !== null && isset($this->columns->places()[$id]) && ! isset($this->gone[$id]));
    }

    /** @return T|null */
    public function find(string $id): ?Thing
    {
        if (isset($this->fresh[$id])) {
            return $this->fresh[$id];
        }
        $place = $this->columns?->places()[$id] ?? null;

        return $this->columns === null || $place === null || isset($this->gone[$id]) ? null : $this->made[$id] ??= new ($this->class)(...$this->columns->row($place));
    }

    /** @return array<string, T> by id */
    public function all(): array
    {
        if ($this->columns === null) {
            return $this->fresh;
        }
        $all = [];
        foreach ($this->columns->ids as $place => $id) {
            if (! isset($this->gone[$id])) {
                $all[$id] = $this->fresh[$id] ?? $this->made[$id] ??= new ($this->class)(...$this->columns->row($place));
            }
        }

        return $all + $this->fresh;
    }

    /** @return array<string, mixed> what a field of each holds, by id */
    public function column(string $field): array
    {
        /** @var array<string, mixed> $fresh */
        $fresh = array_column($this->fresh, $field, 'id');
        if ($this->columns === null) {
            return $fresh;
        }
        $column = $this->columns->of($field);
        foreach ($this->gone as $id => $is) {
            unset($column[$id]);
        }

        return $fresh === [] ? $column : array_replace($column, $fresh);
    }

    /** Whether most of them come from columns: what one field of all of them holds is dearer then than of which it is this. */
    public function arePacked(): bool
    {
        return $this->columns !== null;
    }

    /** @return list<string> ids of those whose field holds just this, not the id itself */
    public function holding(string $field, mixed $value): array
    {
        $kept = array_filter($this->columns?->holding($field, $value) ?? [], fn (string $id): bool => ! isset($this->gone[$id]) && ! isset($this->fresh[$id]));

        return [...array_values($kept), ...array_map(strval(...), array_keys(array_column($this->fresh, $field, 'id'), $value, true))];
    }

    public function count(): int
    {
        return count($this->columns === null ? $this->fresh : array_diff_key($this->columns->places(), $this->gone) + $this->fresh);
    }

    /**
     * @param  class-string<Thing>  $class
     * @return list<string> what it is constructed of, which is all that it holds; without its id, which comes first
     */
    private static function fields(string $class): array
    {
        return array_map(static fn (ReflectionParameter $one): string => $one->getName(), array_slice((new ReflectionMethod($class, '__construct'))->getParameters(), 1));
    }
}
