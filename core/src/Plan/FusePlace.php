<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** Where a load's own fuse is, seen from what feeds it. */
enum FusePlace: string
{
    /** In the line, before what switches it: it saves contact, cord and load. */
    case Before = 'before';

    /** In the line, behind what switches it: a fault in the switch itself it does not see. */
    case After = 'after';

    /** In the neutral: when it blows, the load is dead and still live. */
    case Neutral = 'neutral';

    public function words(): string
    {
        return match ($this) {
            self::Before => 'in the line, before the contact',
            self::After => 'in the line, behind the contact',
            self::Neutral => 'in the neutral',
        };
    }
}
