<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Support\Str;
use Rundfunk\Plan\Shape\FlagType;
use Rundfunk\Plan\Shape\ListType;
use Rundfunk\Plan\Shape\NumberType;
use Rundfunk\Plan\Shape\SettingsType;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\Shape\WholeType;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

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

    /** @param  array<array-key, mixed>  $row */
    public static function thing(ThingKind $kind, array $row): Thing
    {
        $values = [];
        foreach ($kind->shape()->fields as $name => $field) {
            $value = $row[Str::snake($name)] ?? null;
            $values[$name] = match (true) {
                $value === null => null,
                $field->type instanceof FlagType => (bool) $value,
                $field->type instanceof NumberType => is_numeric($value) ? (float) $value : null,
                $field->type instanceof WholeType => is_numeric($value) ? (int) $value : null,
                $field->type instanceof SettingsType, $field->type instanceof ListType => is_string($value) ? json_decode($value, true, 8, JSON_THROW_ON_ERROR) : [],
                default => $value,
            };
        }
        $class = $kind->thing();

        return $class::from(new Values($values));
    }
}
