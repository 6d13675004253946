<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use Rundfunk\OutOfRange;

/** The curve of a calculator's answer over one of its inputs, the others held as they are given. */
final readonly class Curve
{
    /** @param  list<array{float, float}>  $points  input and output, by rising input; where there is no answer there is no point */
    private function __construct(public Sweep $sweep, public array $points)
    {
    }

    /**
     * @param  array<string, string>  $given
     *
     * @throws BadInput
     */
    public static function of(DrawsCurve $calculator, array $given): self
    {
        $sweep = $calculator->sweep();
        $whole = false;
        foreach ($calculator->inputs() as $input) {
            $whole = $whole || ($input->name === $sweep->input && $input->kind === QuantityKind::Whole);
        }
        $points = [];
        foreach ($sweep->inputs($whole) as $input) {
            try {
                $output = $calculator->calculate(Inputs::for($calculator, [...$given, $sweep->input => (string) $input]))[$sweep->output] ?? null;
            } catch (OutOfRange) {
                continue;
            }
            if (is_int($output) || is_float($output)) {
                $points[] = [$input, (float) $output];
            }
        }

        return new self($sweep, $points);
    }
}
