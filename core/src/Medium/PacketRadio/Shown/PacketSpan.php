<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** A part of an exchange. */
final readonly class PacketSpan
{
    public function __construct(
        public PacketSpanKind $kind,
        public string $label,
        public float $us,
    ) {
    }
}
