<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** The channels that a region allows, and by which rule. */
final readonly class PacketLegal
{
    public function __construct(
        public int $from,
        public int $to,
        public float $fromMhz,
        public float $toMhz,
        public string $rule,
        public string $asOf,
        public string $region,
    ) {
    }
}
