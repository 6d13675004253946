<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Curve;
use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\DrawsCurve;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\QuantityKind;
use Rundfunk\OutOfRange;
use Rundfunk\Shape\Schema;

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
            'plainly' => $calculator->plainly(),
            'formula' => $calculator->formula(),
            'source' => $calculator->source(),
            'inputs' => $calculator->inputs(),
            'outputs' => $calculator->outputs(),
            'destination' => $calculator instanceof FitsPlans ? self::destination($calculator->destination()) : null,
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
            'name' => Schema::text(), 'topic' => Schema::text(), 'title' => Schema::text(), 'plainly' => Schema::text(), 'formula' => Schema::text(), 'source' => Schema::text(),
            'inputs' => $quantities, 'outputs' => $quantities,
            'destination' => Schema::orNull(Schema::object(['medium' => Schema::text(), 'of' => Schema::oneOf('link', 'endpoint', 'keyCode'), 'settings' => Schema::listOf(Schema::object(['quantity' => Schema::text(), 'setting' => Schema::text()]))])),
        ]);
    }

    /**
     * @param  array<string, string>  $given
     * @return array<string, mixed> the answer, and its curve where it has one
     *
     * @throws BadInput
     * @throws OutOfRange
     */
    public static function worked(Calculator $calculator, array $given): array
    {
        $curve = $calculator instanceof DrawsCurve ? Curve::of($calculator, $given) : null;

        return [
            'outputs' => $calculator->calculate(Inputs::for($calculator, $given)),
            'curve' => $curve === null ? null : ['input' => $curve->sweep->input, 'output' => $curve->sweep->output, 'points' => $curve->points],
        ];
    }

    /** @return array<string, mixed> */
    public static function workedSchema(): array
    {
        return Schema::object([
            'outputs' => Schema::anyObject(),
            'curve' => Schema::orNull(Schema::object(['input' => Schema::text(), 'output' => Schema::text(), 'points' => Schema::listOf(Schema::listOf(Schema::number()))])),
        ]);
    }

    /** @return array<string, mixed> */
    private static function destination(Destination $destination): array
    {
        $settings = [];
        foreach ($destination->settings as $quantity => $setting) {
            $settings[] = ['quantity' => $quantity, 'setting' => $setting];
        }

        return ['medium' => $destination->medium, 'of' => $destination->of->value, 'settings' => $settings];
    }
}
