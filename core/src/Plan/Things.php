<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

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
    /** @var array<string, int>|null places in the columns, by id */
    private ?array $places = null;

    /** @var array<string, T> of the columns: those that were asked for */
    private array $made = [];

    /**
     * @param  class-string<T>  $class
     * @param  list<string>  $ids  of what is in the columns
     * @param  array<string, list<mixed>>  $columns  by field, in the order in which the class is constructed
     * @param  array<string, T>  $fresh  by id: instead of what is in the columns, or after it
     * @param  array<string, true>  $gone  ids of what is in the columns and no more
     */
    private function __construct(private readonly string $class, private readonly array $ids, private readonly array $columns, private readonly array $fresh, private readonly array $gone)
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
        return new self($class, [], [], $things, []);
    }

    /**
     * @template S of Thing
     *
     * @param  class-string<S>  $class
     * @param  array{ids: list<string>, columns: array<string, list<mixed>>}  $columns  that {@see columns()} gave
     * @return self<S>
     */
    public static function from(string $class, array $columns): self
    {
        return new self($class, $columns['ids'], $columns['columns'], [], []);
    }

    /** @return array{ids: list<string>, columns: array<string, list<mixed>>} all of them, field by field */
    public function columns(): array
    {
        $things = $this->all();
        $columns = [];
        foreach (self::fields($this->class) as $field) {
            $columns[$field] = array_column($things, $field);
        }

        return ['ids' => array_keys($things), 'columns' => $columns];
    }

    /**
     * @param  array<string, T|null>  $changes  by id: what came or changed; null for what went
     * @return self<T>
     */
    public function with(array $changes): self
    {
        $places = $this->places();
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
        $changed = new self($this->class, $this->ids, $this->columns, $fresh, $gone);
        $changed->places = $places;
        $changed->made = $this->made;

        return $changed;
    }

    public function has(string $id): bool
    {
        return isset($this->fresh[$id]) || (isset($this->places()[$id]) && ! isset($this->gone[$id]));
    }

    /** @return T|null */
    public function find(string $id): ?Thing
    {
        if (isset($this->fresh[$id])) {
            return $this->fresh[$id];
        }
        $place = $this->places()[$id] ?? null;

        return $place === null || isset($this->gone[$id]) ? null : $this->made[$id] ??= $this->make($place);
    }

    /** @return array<string, T> by id */
    public function all(): array
    {
        if ($this->ids === []) {
            return $this->fresh;
        }
        $all = [];
        foreach ($this->ids as $place => $id) {
            if (! isset($this->gone[$id])) {
                $all[$id] = $this->fresh[$id] ?? $this->made[$id] ??= $this->make($place);
            }
        }

        return $all + $this->fresh;
    }

    /** @return array<string, mixed> what a field of each holds, by id */
    public function column(string $field): array
    {
        $column = $this->ids === [] ? [] : array_diff_key(array_combine($this->ids, $this->columns[$field]), $this->gone);

        /** @var array<string, mixed> $fresh */
        $fresh = array_column($this->fresh, $field, 'id');

        return [...$column, ...$fresh];
    }

    public function count(): int
    {
        return count(array_diff_key($this->places(), $this->gone) + $this->fresh);
    }

    /** @return array<string, int> */
    private function places(): array
    {
        return $this->places ??= array_flip($this->ids);
    }

    /** @return T */
    private function make(int $place): Thing
    {
        $values = [];
        foreach ($this->columns as $column) {
            $values[] = $column[$place];
        }

        return new ($this->class)(...$values);
    }

    /**
     * @param  class-string<Thing>  $class
     * @return list<string> what it is constructed of, which is all that it holds
     */
    private static function fields(string $class): array
    {
        return array_map(static fn (ReflectionParameter $one): string => $one->getName(), (new ReflectionMethod($class, '__construct'))->getParameters());
    }
}
