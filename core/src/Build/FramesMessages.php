<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameLayout;
use Rundfunk\Plan\Link;

interface FramesMessages
{
    /** What goes into one message, byte by byte. */
    public function layout(Link $link): FrameLayout;
}
