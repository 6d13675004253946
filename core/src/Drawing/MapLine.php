<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Medium\LineForm;

/** A link, as a line with its stops. */
final readonly class MapLine
{
    public function __construct(
        public string $linkId,
        public LineForm $form,
        public string $mediumKey,
        public string $medium,
        public float $y,
        public float $from,
        public float $to,
        /** It comes from the band before. */
        public bool $fromBefore,
        /** It goes on in the band after. */
        public bool $toAfter,
        /** @var list<MapStop> */
        public array $stops,
    ) {
    }
}
