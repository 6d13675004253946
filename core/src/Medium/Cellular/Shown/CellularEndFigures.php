<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Shown;

/** One end: a phone or a modem, and its number. */
final readonly class CellularEndFigures
{
    public function __construct(
        public string $endpointId,
        public bool $phone,
        public ?string $e164,
        public bool $valid,
    ) {
    }
}
