<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** The posts of one place that stand side by side. */
final readonly class MapPlace
{
    public function __construct(
        public ?string $placeId,
        public float $from,
        public float $to,
    ) {
    }
}
