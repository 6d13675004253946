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
     * @param  int  $lowest  the figure that is nothing
     * @param  int  $whole  from it to the figure that is all
     * @param  int  $fadeMs  over how long, cut to whole packets
     */
    public function __construct(
        public int $node,
        public int $code,
        public int $driven,
        public Action $action,
        public int $on,
        public int $off,
        public int $lowest,
        public int $whole,
        public int $fadeMs,
        public int $pulseMs,
    ) {
    }
}
