<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a house network: who has which address. */
final readonly class IpFigures
{
    public function __construct(
        public ?SubnetFigures $subnet,
        /** @var string|null the node that runs it */
        public ?string $broker,
        /** @var float how long a dead node goes unnoticed */
        public float $goneAfterS,
        /** @var list<IpHost> */
        #[ListOf(IpHost::class)]
        public array $hosts,
    ) {
    }
}
