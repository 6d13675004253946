<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A stick's curve, drawn, and what its settings come to. */
final readonly class AxisCurve
{
    public function __construct(
        /** @var int raw, at one end */
        public int $lowest,
        /** @var int raw, let go */
        public int $centre,
        /** @var int raw, at the other end */
        public int $highest,
        /** @var float px */
        public float $width,
        /** @var float px */
        public float $height,
        /** @var string SVG, without its frame */
        public string $svg,
        /** @var string the same in words */
        public string $words,
    ) {
    }
}
