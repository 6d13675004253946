<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

/** One thing that a frame says. */
final readonly class StatedThing
{
    /**
     * @param  int  $to  number of whom it is told
     * @param  int  $code  of the message that it comes to
     * @param  int  $saidBit  1 when it is said with the frame
     * @param  int  $atBit  the lowest of its own
     * @param  int  $lowest  what its bits stand for when all are 0; of a valued one: nothing said yet
     * @param  int  $value  of the message, where it is counted
     * @param  bool  $addsUp  each press that was counted is a message; otherwise all of them are one
     */
    public function __construct(
        public int $to,
        public int $code,
        public SlotKind $kind,
        public int $saidBit,
        public int $atBit,
        public int $bits,
        public int $lowest,
        public int $value,
        public bool $addsUp,
    ) {
    }
}
