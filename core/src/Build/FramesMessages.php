<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameLayout;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

interface FramesMessages
{
    /** @return FrameLayout|null what goes into one message, byte by byte; null where a link's frames are not of our making */
    public function layout(Plan $plan, Link $link): ?FrameLayout;
}
