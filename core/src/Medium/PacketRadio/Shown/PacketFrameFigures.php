<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Shown;

use Rundfunk\Shape\ListOf;

/** What stands in the frames of a link: of all senders alike, or of one. */
final readonly class PacketFrameFigures
{
    public function __construct(
        /** @var string|null whose; null where it is the same of all */
        public ?string $sender,
        public int $bytes,
        /** @var list<PacketFrameRow> */
        #[ListOf(PacketFrameRow::class)]
        public array $rows,
    ) {
    }
}
