<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Action;

/** What one message does to a slot. */
final readonly class SlotTell
{
    /**
     * @param  int  $node  the number of whom it is for
     * @param  int  $driven  which of the slots, from 0
     * @param  int  $on  the level of on
     * @param  int  $off  that of off: where it rests
     * @param  int|null  $value  the figure that the plan says; null where the message of a set does, or none is asked
     * @param  int  $fadeMs  over how long, cut to whole packets
     */
    public function __construct(
        public int $node,
        public int $code,
        public int $driven,
        public Action $action,
        public int $on,
        public int $off,
        public Level $level,
        public ?int $value,
        public int $fadeMs,
        public int $pulseMs,
    ) {
    }
}
