<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** All that a plan holds as tables, in which the name of a field stands once and not with each of thousands of things. */
final class PlanTables
{
    /** @return array<string, array{fields: list<string>, rows: list<list<mixed>>}> by the plural of the kind; the rows in the order of a plan file */
    public static function of(Plan $plan): array
    {
        $tables = [];
        foreach (ThingKind::cases() as $kind) {
            $things = $plan->all($kind);
            ksort($things, SORT_STRING);
            $fields = array_keys($kind->shape()->fields);
            $rows = [];
            foreach ($things as $thing) {
                $values = PlanWriter::plain($thing);
                $rows[] = array_map(static fn (string $field): mixed => $values[$field] ?? null, $fields);
            }
            $tables[$kind->plural()] = ['fields' => $fields, 'rows' => $rows];
        }

        return $tables;
    }
}
