<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** Which input a calculator's curve is drawn over, between what, and which output it shows. */
final readonly class Sweep
{
    public function __construct(public string $input, public float $from, public float $to, public string $output)
    {
    }

    /** @return list<float> the inputs at which the curve is worked out, ends and whole numbers included where they are wanted */
    public function inputs(bool $whole): array
    {
        $steps = $whole ? min(60, (int) ($this->to - $this->from)) : 60;
        $inputs = [];
        for ($step = 0; $step <= $steps; $step++) {
            $input = $this->from + ($this->to - $this->from) * $step / $steps;
            $inputs[] = $whole ? round($input) : $input;
        }

        return $inputs;
    }
}
