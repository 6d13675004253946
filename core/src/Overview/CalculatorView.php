<?php

declare(strict_types=1);

namespace Rundfunk\Overview;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\QuantityKind;

/** A calculator as screens and the command line describe it. */
final readonly class CalculatorView
{
    /** @return array<string, mixed> */
    public static function of(Calculator $calculator): array
    {
        return [
            'name' => $calculator->name(),
            'topic' => $calculator->topic(),
            'title' => $calculator->title(),
            'formula' => $calculator->formula(),
            'source' => $calculator->source(),
            'inputs' => $calculator->inputs(),
            'outputs' => $calculator->outputs(),
        ];
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        $kinds = array_map(static fn (QuantityKind $kind): string => $kind->value, QuantityKind::cases());
        $quantities = Schema::listOf(Schema::object([
            'name' => Schema::text(), 'kind' => Schema::oneOf(...$kinds), 'unit' => Schema::orNull(Schema::text()), 'doc' => Schema::text(),
            'required' => Schema::flag(), 'example' => Schema::text(), 'choices' => Schema::listOf(Schema::text()),
        ]));

        return Schema::object([
            'name' => Schema::text(), 'topic' => Schema::text(), 'title' => Schema::text(), 'formula' => Schema::text(), 'source' => Schema::text(),
            'inputs' => $quantities, 'outputs' => $quantities,
        ]);
    }
}
