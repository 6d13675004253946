<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/**
 * How far an edit is felt. What is said of a thing may hang on the thing, on whatever refers to it at however many removes,
 * on whatever all those refer to, and on the whole of what these are part of. So an edit is felt by all that what it touched,
 * or whatever that is part of, is referred from, and by all that those refer to: before and after. Who refers to whom,
 * the shapes of things say, so that a new kind of thing is felt without a word here.
 */
final readonly class Impact
{
    /**
     * @param  array<string, array<string, true>>|null  $ids  by kind; null for everything
     * @param  array<string, list<string>>  $gone  ids of what was removed, by kind
     */
    private function __construct(private Plan $plan, private ?array $ids, private array $gone)
    {
    }

    public static function of(Edited $edited): self
    {
        $gone = [];
        foreach ($edited->kinds() as $kind) {
            $gone[$kind->value] = array_values(array_filter($edited->touched[$kind->value], static fn (string $id): bool => $edited->plan->find($kind, $id) === null));
        }
        if ($edited->touchesProperties()) {
            return new self($edited->plan, null, $gone);
        }
        $spread = new Spread($edited);

        return new self($edited->plan, $spread->felt(), $gone);
    }

    /** The region, or the neighbours' Wi-Fi, is felt by all there is. */
    public function isOnEverything(): bool
    {
        return $this->ids === null;
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @return list<T> those that feel it, in the order of the plan
     */
    public function on(string $class): array
    {
        if ($this->ids === null) {
            return $this->plan->of($class);
        }
        /** @var list<T> $things */
        $things = $this->plan->pick($class, array_keys($this->ids[$class::kind()->value] ?? []));

        return $things;
    }

    public function reaches(ThingKind $kind, string $id): bool
    {
        return $this->ids === null || isset($this->ids[$kind->value][$id]);
    }

    /** @return list<string> ids of what the edit removed */
    public function gone(ThingKind $kind): array
    {
        return $this->gone[$kind->value] ?? [];
    }
}
