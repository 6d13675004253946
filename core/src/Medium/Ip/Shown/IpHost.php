<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Shown;

/** Who has which number. */
final readonly class IpHost
{
    public function __construct(
        public string $endpointId,
        public string $name,
        /** @var int in the subnet */
        public int $number,
    ) {
    }
}
