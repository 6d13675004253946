<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Module;

/** Judges a module with what feeds it and what it is joined to. */
interface ModuleRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Module $module, Look $look): iterable;
}
