<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a battery of a class holds. */
final readonly class Cell
{
    /**
     * @param  float  $usablePercent  of the capacity, without harm to it
     * @param  float|null  $chargedToV  by the charger of a board that has pads for it; null where no such charger may be at it
     */
    public function __construct(public float $capacityMah, public float $usablePercent, public float $selfDischargePercentMonth, public ?float $chargedToV = null)
    {
    }

    public static function from(Values $values): self
    {
        return new self($values->number('capacityMah'), $values->number('usablePercent'), $values->number('selfDischargePercentMonth'), $values->numberOrNull('chargedToV'));
    }
}
