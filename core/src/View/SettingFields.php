<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\FlagType;
use Rundfunk\Shape\NumberType;
use Rundfunk\Shape\OneOfType;
use Rundfunk\Shape\Schema;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\TextType;
use Rundfunk\Shape\WholeType;

/** A shape's fields as screens draw them. */
final readonly class SettingFields
{
    /** @return list<array<string, mixed>> */
    public static function of(Shape $shape): array
    {
        return array_map(static fn (Field $field): array => [
            'name' => $field->name,
            'title' => $field->title ?? $field->name,
            'kind' => match (true) {
                $field->type instanceof OneOfType => 'choice',
                $field->type instanceof WholeType => 'whole',
                $field->type instanceof NumberType => 'number',
                $field->type instanceof FlagType => 'flag',
                default => 'text',
            },
            'choices' => $field->type instanceof OneOfType ? $field->type->choices : [],
            'choiceNames' => $field->names,
            'lowest' => $field->type instanceof WholeType || $field->type instanceof NumberType ? $field->type->lowest : null,
            'highest' => $field->type instanceof WholeType || $field->type instanceof NumberType ? $field->type->highest : null,
            'longest' => $field->type instanceof TextType ? $field->type->longest : null,
            'nullable' => $field->nullable,
            'assigned' => $field->assigned,
            'seldom' => $field->seldom,
            'hexadecimal' => $field->hexadecimal,
            'default' => is_scalar($field->default) ? $field->default : null,
            'unit' => $field->unit,
            'doc' => $field->doc,
        ], array_values($shape->fields));
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Schema::object([
            'name' => Schema::text(), 'title' => Schema::text(), 'kind' => Schema::oneOf('choice', 'whole', 'number', 'flag', 'text'),
            'choices' => Schema::listOf(['type' => ['integer', 'string']]), 'choiceNames' => Schema::listOf(Schema::text()), 'lowest' => Schema::orNull(Schema::number()), 'highest' => Schema::orNull(Schema::number()),
            'longest' => Schema::orNull(Schema::whole()), 'nullable' => Schema::flag(), 'assigned' => Schema::flag(), 'seldom' => Schema::flag(), 'hexadecimal' => Schema::flag(), 'default' => ['type' => ['string', 'number', 'boolean', 'null']], 'unit' => Schema::orNull(Schema::text()), 'doc' => Schema::text(),
        ]);
    }
}
