<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** A medium with formulas that people want alone. */
interface OffersCalculators
{
    /** @return list<Calculator> in the order in which they are listed */
    public function calculators(): array;
}
