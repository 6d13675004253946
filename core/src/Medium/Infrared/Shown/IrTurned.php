<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Shown;

/** A code with its bits in the other order. */
final readonly class IrTurned
{
    public function __construct(
        public string $says,
        public int $command,
        public string $format,
    ) {
    }
}
