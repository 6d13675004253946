<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What the contact or semiconductor of each of a module's outputs bears, and what works it. */
final readonly class Switching
{
    /**
     * @param  float  $ratedA  as printed: of a contact alternating current into a resistive load, of a semiconductor for long
     * @param  float|null  $mainsA  what its board bears at the mains, tracks and terminals included; null where it has no business there
     * @param  float|null  $dcV  direct current up to that voltage; null for none at all
     * @param  float|null  $surgeA  that it survives for a period of the mains
     * @param  float|null  $fuseA  the largest fuse that blows before it does
     * @param  float  $leakageMa  that flow while it is off
     * @param  float  $holdMa  below which it does not stay on
     * @param  float  $dropV  that it keeps for itself
     * @param  bool  $diodes  it takes what a coil gives back by itself
     */
    private function __construct(
        public SwitchedBy $by,
        public InputKind $input,
        public float $ratedA,
        public ?float $mainsA,
        public ?float $dcV,
        public ?float $surgeA,
        public ?float $fuseA,
        public float $leakageMa,
        public float $holdMa,
        public float $dropV,
        public bool $diodes,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->choice('by', SwitchedBy::class),
            $values->choice('input', InputKind::class),
            $values->number('ratedA'),
            $values->numberOrNull('mainsA'),
            $values->numberOrNull('dcV'),
            $values->numberOrNull('surgeA'),
            $values->numberOrNull('fuseA'),
            $values->numberOrNull('leakageMa') ?? 0.0,
            $values->numberOrNull('holdMa') ?? 0.0,
            $values->numberOrNull('dropV') ?? 0.0,
            $values->has('diodes'),
        );
    }
}
