<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** Judges one hop of a route. */
interface HopRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Leg $leg, Look $look): iterable;
}
