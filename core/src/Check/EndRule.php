<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** Judges one end of a link, with its node; never beside another end of the link, for that the link is there. */
interface EndRule extends Rule
{
    /** @return iterable<Finding> */
    public function check(End $end, Look $look): iterable;
}
