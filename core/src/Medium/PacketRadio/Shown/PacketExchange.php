<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

use Rundfunk\Shape\ListOf;

/** One exchange, part by part. */
final readonly class PacketExchange
{
    public function __construct(
        /** @var list<PacketSpan> */
        #[ListOf(PacketSpan::class)]
        public array $parts,
        public float $totalUs,
        public int $leastRetryDelayUs,
        public float $sensitivityDbm,
    ) {
    }
}
