<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** A Wi-Fi channel on the ruler, by the channels of one's own that it covers. */
final readonly class PacketWifi
{
    public function __construct(
        public int $channel,
        public int $from,
        public int $to,
    ) {
    }
}
