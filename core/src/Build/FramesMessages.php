<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameLayout;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

interface FramesMessages
{
    /** @return FrameLayout|null what goes into one message, byte by byte; null where a link's frames are not of our making */
    public function layout(Plan $plan, Link $link): ?FrameLayout;

    /** @return list<InsideFrame> what has a layout of its own inside the frames that an end sends or hears; as a rule nothing */
    public function insides(Plan $plan, Endpoint $endpoint): array;
}
