<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Shown;

/** The numbers of a subnet. */
final readonly class SubnetFigures
{
    public function __construct(
        public int $hosts,
        /** @var int the first that the router hands out */
        public int $dhcpFrom,
        /** @var int the last */
        public int $dhcpTo,
    ) {
    }
}
