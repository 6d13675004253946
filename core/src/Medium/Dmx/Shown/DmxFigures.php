<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of a universe: who takes which slots, how often they are told, and what tells them. */
final readonly class DmxFigures
{
    public function __construct(
        public bool $isNetwork,
        /** @var string|null where its packets go on the network */
        public ?string $group,
        public int $slotsSent,
        /** @var float milliseconds from one packet to the next */
        public float $periodMs,
        public float $refreshHz,
        /** @var float px */
        public float $rulerWidth,
        /** @var float px */
        public float $rulerHeight,
        /** @var string SVG, without its frame; bars bear the ids of their ends */
        public string $ruler,
        /** @var string the same in words */
        public string $rulerWords,
        /** @var list<DmxFixture> in the order along the cable */
        #[ListOf(DmxFixture::class)]
        public array $fixtures,
        /** @var list<DmxSegment> by wire */
        #[ListOf(DmxSegment::class)]
        public array $segments,
        /** @var list<DmxTrigger> */
        #[ListOf(DmxTrigger::class)]
        public array $triggers,
        /** @var list<string> ids of controls that work slots, by themselves or by what they set going */
        #[ListOf('string')]
        public array $works,
        /** @var string|null what the bridge is told, and how long that takes; null without one, or where its words cannot be read */
        public ?string $bridge,
    ) {
    }
}
