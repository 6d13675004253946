<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** One thing that a frame says. */
final readonly class PacketFrameRow
{
    public function __construct(
        /** @var string "byte 2, bits 1–2" */
        public string $where,
        /** @var string|null the bit that is 1 when it is said with the frame; null where it always is */
        public ?string $saidBit,
        public string $name,
        public string $says,
    ) {
    }
}
