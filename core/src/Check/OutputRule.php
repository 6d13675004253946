<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Output;

/** Judges an output with the routes to it: pairs of its masters are judged here. */
interface OutputRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Output $output, Look $look): iterable;
}
