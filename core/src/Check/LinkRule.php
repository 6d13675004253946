<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Link;

/** Judges a link with its ends and what goes over it: pairs of ends are judged here. */
interface LinkRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(Link $link, Look $look): iterable;
}
