<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A sequence, drawn to scale. */
final readonly class SequenceStrip
{
    public function __construct(
        public int $totalMs,
        /** @var float px */
        public float $width,
        /** @var float px */
        public float $height,
        /** @var string SVG, without its frame; bars bear the ids of their routes */
        public string $svg,
        /** @var string the same in words, for who does not see it */
        public string $words,
    ) {
    }
}
