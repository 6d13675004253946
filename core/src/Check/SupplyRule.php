<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Supply;

/** Judges a supply with all that lives on it, on however many nodes, and what it lives on. */
interface SupplyRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Supply $supply, Look $look): iterable;
}
