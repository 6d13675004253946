<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a regulator wants at its input, and what it costs. */
final readonly class SupplyInput
{
    /**
     * @param  float|null  $minV  the least it starts at, whatever it gives
     * @param  float  $dropoutV  what it needs above its output
     * @param  float  $quiescentMa  what it takes for itself, day and night
     * @param  float|null  $heatW  what it can shed, of a linear one
     * @param  float|null  $efficiencyPercent  of a switching one
     */
    public function __construct(
        public ?float $minV,
        public float $maxV,
        public float $dropoutV,
        public float $quiescentMa,
        public ?float $heatW,
        public ?float $efficiencyPercent,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->numberOrNull('minV'),
            $values->number('maxV'),
            $values->number('dropoutV'),
            $values->number('quiescentMa'),
            $values->numberOrNull('heatW'),
            $values->numberOrNull('efficiencyPercent'),
        );
    }
}
