<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/**
 * All that a plan holds as tables, in which the name of a field stands once and not with each of thousands of things; and
 * what is one and the same for all of a kind stands once too.
 */
final class PlanTables
{
    /** @return array<string, array{fields: list<string>, rows: list<list<mixed>>, same: object}> by the plural of the kind; the rows in the order of a plan file */
    public static function of(Plan $plan): array
    {
        $tables = [];
        foreach (ThingKind::cases() as $kind) {
            $things = $plan->all($kind);
            ksort($things, SORT_STRING);
            $tables[$kind->plural()] = self::table(array_keys($kind->shape()->fields), array_values(array_map(PlanWriter::plain(...), $things)));
        }

        return $tables;
    }

    /**
     * @param  list<string>  $fields
     * @param  list<array<string, mixed>>  $all
     * @return array{fields: list<string>, rows: list<list<mixed>>, same: object}
     */
    private static function table(array $fields, array $all): array
    {
        $same = [];
        $differ = [];
        foreach ($fields as $field) {
            $held = array_column($all, $field);
            $first = $held[0] ?? null;
            if ($all !== [] && ($first === null || is_scalar($first)) && array_keys($held, $first, true) === array_keys($all)) {
                $same[$field] = $first;
            } else {
                $differ[] = $field;
            }
        }
        $rows = array_map(static fn (array $values): array => array_map(static fn (string $field): mixed => $values[$field] ?? null, $differ), $all);

        return ['fields' => $differ, 'rows' => $rows, 'same' => (object) $same];
    }
}
