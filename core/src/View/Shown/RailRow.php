<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** A supply with all that hangs on it. */
final readonly class RailRow
{
    public function __construct(
        public string $id,
        /** @var string of the node it is at */
        public string $nodeId,
        public string $name,
        /** @var string what it is, with what decides: "lead battery, 12 V, 7000 mAh, fuse 1 A" */
        public string $what,
        /** @var int how many supplies it lives on, up to the source */
        public int $depth,
        /** @var string|null "5 V", "3 to 4.2 V"; null where nobody can tell */
        public ?string $volts,
        public float $typicalMa,
        public float $peakMa,
        public ?float $limitMa,
        /** @var string the figures in words */
        public string $says,
        /** @var bool nothing is wrong with it, up to its source */
        public bool $sound,
        /** @var list<TakeShown> */
        #[ListOf(TakeShown::class)] public array $takes,
    ) {
    }
}
