<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** Judges one wire between a terminal and a pin. */
interface WireRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Wire $wire, Look $look): iterable;
}
