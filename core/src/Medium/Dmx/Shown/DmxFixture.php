<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

use Rundfunk\Shape\ListOf;

/** An end that takes slots. */
final readonly class DmxFixture
{
    public function __construct(
        public string $endpointId,
        public string $nodeId,
        public string $name,
        public bool $isBought,
        /** @var string|null what it is, where that is described */
        public ?string $type,
        /** @var list<string> its modes, by name */
        #[ListOf('string')]
        public array $modes,
        public string $mode,
        public ?int $start,
        public ?int $last,
        public int $footprint,
        /** @var string|null which of its switches are on; null where it has none */
        public ?string $switches,
        /** @var string|null the same drawn: SVG, without its frame */
        public ?string $switchesDrawn,
        /** @var list<DmxSlot> */
        #[ListOf(DmxSlot::class)]
        public array $slots,
    ) {
    }
}
