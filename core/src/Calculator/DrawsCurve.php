<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

/** A calculator whose answer is better seen as a curve too. */
interface DrawsCurve extends Calculator
{
    public function sweep(): Sweep;
}
