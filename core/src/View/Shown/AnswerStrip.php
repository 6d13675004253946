<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** How an answer goes when nothing gets through any more, drawn to scale. */
final readonly class AnswerStrip
{
    public function __construct(
        /** @var float px */
        public float $width,
        /** @var float px */
        public float $height,
        /** @var string SVG, without its frame */
        public string $svg,
        /** @var string the same in words, for who does not see it */
        public string $words,
    ) {
    }
}
