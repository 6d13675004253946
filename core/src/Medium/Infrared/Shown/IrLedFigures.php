<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Shown;

/** An emitter with the resistor before it. */
final readonly class IrLedFigures
{
    public function __construct(
        /** @var string "pin" or "transistor" */
        public string $driven,
        public float $exactOhm,
        public float $chosenOhm,
        public float $actualMa,
        public float $powerMw,
        public int $ratingMw,
        public float $averageMw,
    ) {
    }
}
