<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** What the ruler runs over. */
final readonly class PacketChannels
{
    public function __construct(
        public int $from,
        public int $to,
    ) {
    }
}
