<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a battery of a class holds. */
final readonly class Cell
{
    /** @param  float  $usablePercent  of the capacity, without harm to it */
    public function __construct(public float $capacityMah, public float $usablePercent, public float $selfDischargePercentMonth)
    {
    }

    public static function from(Values $values): self
    {
        return new self($values->number('capacityMah'), $values->number('usablePercent'), $values->number('selfDischargePercentMonth'));
    }
}
