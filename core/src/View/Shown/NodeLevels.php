<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** The two ends of each wire of a node, compared. */
final readonly class NodeLevels
{
    /**
     * @param  float  $carriedMa  what its pins carry all together, when everything on them is on
     * @param  float|null  $chipMostMa  what its chip stands of that; null where nobody knows
     * @param  bool  $chipSound  it is not known to be too much
     */
    public function __construct(
        /** @var list<LevelRow> */
        #[ListOf(LevelRow::class)] public array $wires,
        /** @var list<PlacedPart> */
        #[ListOf(PlacedPart::class)] public array $parts,
        public float $carriedMa,
        public ?float $chipMostMa,
        public bool $chipSound,
    ) {
    }
}
