<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

use Rundfunk\Shape\ListOf;

/** What one end says otherwise than its link, and to whom it sends. */
final readonly class PacketEndFigures
{
    public function __construct(
        public string $endpointId,
        /** @var list<string> in words */
        #[ListOf('string')]
        public array $disagrees,
        /** @var int|null its number, where it sends */
        public ?int $sender,
        /** @var list<PacketTarget> */
        #[ListOf(PacketTarget::class)]
        public array $sendsTo,
    ) {
    }
}
