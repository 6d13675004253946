<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Bond;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\ListType;
use Rundfunk\Shape\RecordType;

/** Which kinds of thing refer to which, read off their shapes once: nothing else says who owns whom. */
final class Ties
{
    /** @return list<Tie> by which things of a kind refer to others */
    public static function of(ThingKind $kind): array
    {
        /** @var array<string, list<Tie>> $ties */
        static $ties = [];

        return $ties[$kind->value] ??= self::read($kind, $kind->shape()->fields);
    }

    /** @return list<Tie> by which others refer to things of a kind */
    public static function to(ThingKind $kind): array
    {
        /** @var array<string, list<Tie>> $ties */
        static $ties = [];

        return $ties[$kind->value] ??= array_values(array_filter(
            array_merge(...array_map(self::of(...), ThingKind::cases())),
            static fn (Tie $tie): bool => $tie->to === $kind,
        ));
    }

    /** @return list<Thing> those of a kind whose field names a thing of that id, in the order of the plan */
    public static function naming(Plan $plan, ThingKind $from, string $field, string $id): array
    {
        foreach (self::of($from) as $tie) {
            if ($tie->field === $field && $tie->inRecord === null) {
                return $plan->referring($tie, $id);
            }
        }

        return [];
    }

    /** The field by which a thing of a kind says whose part it is; null for what is part of nothing. */
    public static function home(ThingKind $kind): ?Tie
    {
        foreach (self::of($kind) as $tie) {
            if ($tie->bond === Bond::PartOf) {
                return $tie;
            }
        }

        return null;
    }

    /**
     * @param  array<string, Field>  $fields
     * @return list<Tie>
     */
    public static function read(ThingKind $kind, array $fields): array
    {
        $ties = [];
        foreach ($fields as $field) {
            if ($field->refers !== null) {
                $ties[] = new Tie($kind, ThingKind::from($field->refers->kind), $field->refers->bond, $field->name, null, $field->refers->shared);
            }
            $records = $field->type instanceof ListType && $field->type->of instanceof RecordType ? $field->type->of->shape->fields : [];
            foreach ($records as $inner) {
                if ($inner->refers !== null) {
                    $ties[] = new Tie($kind, ThingKind::from($inner->refers->kind), $inner->refers->bond, $field->name, $inner->name);
                }
            }
        }

        return $ties;
    }
}
