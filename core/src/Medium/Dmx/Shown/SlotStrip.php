<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

/** What slots say when controls are worked, as a strip chart. */
final readonly class SlotStrip
{
    public function __construct(
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
