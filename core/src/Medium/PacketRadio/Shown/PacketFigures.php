<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a packet-radio link: the band ruler, one exchange, each end, what a frame says. */
final readonly class PacketFigures
{
    public function __construct(
        public PacketChannels $channels,
        /** @var PacketLegal|null null where the region lets no channel be used */
        public ?PacketLegal $legal,
        /** @var list<PacketWifi> in use on the site */
        #[ListOf(PacketWifi::class)]
        public array $wifi,
        /** @var int|null the channel */
        public ?int $here,
        public ?int $freqMhz,
        public PacketExchange $exchange,
        /** @var list<PacketEndFigures> */
        #[ListOf(PacketEndFigures::class)]
        public array $ends,
        /** @var list<PacketFrameFigures> */
        #[ListOf(PacketFrameFigures::class)]
        public array $frames,
    ) {
    }
}
