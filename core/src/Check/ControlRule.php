<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Control;

/** Judges a control with its routes. */
interface ControlRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Control $control, Look $look): iterable;
}
