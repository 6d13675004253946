<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** A calculator whose answer can be put straight into a plan. */
interface FitsPlans extends Calculator
{
    public function destination(): Destination;
}
