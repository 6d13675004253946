<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Bond;
use Rundfunk\Shape\Values;

/** One way in which things of one kind refer to things of another: a field, or a field of the records in one. */
final readonly class Tie
{
    /** Before the id of a class that the plan itself describes: any other is the catalogue's. */
    public const OWN = 'own:';

    /**
     * @param  string  $field  of the thing
     * @param  string|null  $inRecord  the field of its records; null where the field itself refers
     * @param  bool  $shared  what one takes of the thing, all that refer to it feel
     */
    public function __construct(public ThingKind $from, public ThingKind $to, public Bond $bond, public string $field, public ?string $inRecord = null, public bool $shared = false)
    {
    }

    /** @return list<string> ids of what the thing refers to by this tie */
    public function ids(Thing $thing): array
    {
        // The engine's own reader of a named field, which is much quicker than listing all values.
        return $this->idsIn($this->inRecord === null ? array_column([$thing], $this->field)[0] ?? null : $thing->values()[$this->field] ?? null);
    }

    /** @return list<string> ids in what the field holds */
    public function idsIn(mixed $held): array
    {
        if (! is_array($held)) {
            return match (true) {
                ! is_string($held) => [],
                $this->bond !== Bond::Uses => [$held],
                default => str_starts_with($held, self::OWN) ? [substr($held, strlen(self::OWN))] : [],
            };
        }
        $ids = $this->inRecord === null ? $held : array_column($held, $this->inRecord);

        return array_values(array_filter($ids, is_string(...)));
    }

    /** What the field holds where it refers to a thing of that id. */
    public function held(string $id): string
    {
        return $this->bond === Bond::Uses ? self::OWN.$id : $id;
    }

    /** @return Thing|null the thing, no longer referring to that one; null where it cannot be without */
    public function without(Thing $thing, string $id): ?Thing
    {
        $values = $thing->values();
        $held = $values[$this->field] ?? null;
        if (! is_array($held)) {
            return $this->bond === Bond::Mentions ? $thing::from(new Values([...$values, $this->field => null])) : null;
        }
        $left = [];
        foreach ($held as $one) {
            $refers = $this->inRecord === null ? $one === $id : is_array($one) && ($one[$this->inRecord] ?? null) === $id;
            if (! $refers) {
                $left[] = $one;
            } elseif (is_array($one) && $this->bond === Bond::Mentions) {
                $left[] = [...$one, $this->inRecord => null];
            }
        }

        return $thing::from(new Values([...$values, $this->field => $left]));
    }
}
