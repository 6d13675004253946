<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

/** To whom an end sends. */
final readonly class PacketTarget
{
    public function __construct(
        public string $node,
        public ?string $address,
        public ?int $pipe,
    ) {
    }
}
