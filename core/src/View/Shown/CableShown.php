<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A cable with its pin-out: every wire once, and where it goes at each end. */
final readonly class CableShown
{
    public function __construct(
        public string $cableId,
        public string $from,
        public string $to,
        /** @var list<CoreRow> each core of it */
        #[ListOf(CoreRow::class)]
        public array $cores,
        public int $free,
        /** @var list<WantShown> what runs between its nodes, for a core to be chosen for */
        #[ListOf(WantShown::class)]
        public array $wants,
        /** @var list<string> of them, what no core is for */
        #[ListOf('string')]
        public array $missing,
        /** of one core */
        public ?float $coreOhm,
        public float $returnMa,
        public ?float $liftV,
        /** how to say where it crosses; null where nothing does */
        public ?string $crossing,
    ) {
    }
}
