<?php

declare(strict_types=1);

namespace App\Plans;

use Closure;
use Illuminate\Support\Str;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\DescribedType;
use Rundfunk\Shape\FlagType;
use Rundfunk\Shape\ListType;
use Rundfunk\Shape\NumberType;
use Rundfunk\Shape\SettingsType;
use Rundfunk\Shape\Values;
use Rundfunk\Shape\WholeType;

/** Translates between things and rows: nothing but names. */
final readonly class ThingTables
{
    public static function name(ThingKind $kind): string
    {
        return match ($kind) {
            ThingKind::Acceptance => 'accepted_findings',
            default => Str::snake($kind->plural()),
        };
    }

    /** @return array<string, mixed> */
    public static function row(Thing $thing, string $planId): array
    {
        $row = ['plan_id' => $planId];
        foreach ($thing->values() as $field => $value) {
            $row[Str::snake($field)] = is_array($value) ? json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION) : $value;
        }

        return $row;
    }

    /**
     * @param  iterable<object>  $rows
     * @return iterable<Thing>
     */
    public static function things(ThingKind $kind, iterable $rows): iterable
    {
        $class = $kind->thing();
        $columns = self::columns($kind);
        foreach ($rows as $row) {
            $given = get_object_vars($row);
            $values = [];
            foreach ($columns as [$name, $column, $read]) {
                $value = $given[$column] ?? null;
                $values[$name] = $value === null || $read === null ? $value : $read($value);
            }
            yield $class::from(new Values($values));
        }
    }

    /** @return list<string> columns that refer to the table they are in */
    public static function columnsWithin(ThingKind $kind): array
    {
        $columns = [];
        foreach (Ties::of($kind) as $tie) {
            if ($tie->to === $kind && $tie->inRecord === null && ! $kind->shape()->fields[$tie->field]->type instanceof ListType) {
                $columns[] = Str::snake($tie->field);
            }
        }

        return $columns;
    }

    /** @return list<array{string, string, (Closure(mixed): mixed)|null}> field, column, and how what the database gives becomes a value; null where it is one */
    private static function columns(ThingKind $kind): array
    {
        $columns = [];
        foreach ($kind->shape()->fields as $name => $field) {
            $columns[] = [$name, Str::snake($name), match (true) {
                $field->type instanceof FlagType => static fn (mixed $value): bool => (bool) $value,
                $field->type instanceof NumberType => static fn (mixed $value): ?float => is_numeric($value) ? (float) $value : null,
                $field->type instanceof WholeType => static fn (mixed $value): ?int => is_numeric($value) ? (int) $value : null,
                $field->type instanceof SettingsType, $field->type instanceof ListType, $field->type instanceof DescribedType => static fn (mixed $value): mixed => is_string($value) ? json_decode($value, true, 8, JSON_THROW_ON_ERROR) : [],
                default => null,
            }];
        }

        return $columns;
    }
}
