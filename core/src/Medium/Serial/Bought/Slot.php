<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** One figure of a device that is kept: what a reading last said, or whether a function is done. */
final readonly class Slot
{
    /**
     * @param  int  $device  which, from 0
     * @param  int  $item  which of the tables' functions and readings, from 0
     * @param  bool  $isDone  it is 1 once the function is done that was told last, and 0 before
     * @param  int  $everyMs  how often it is asked for; 0 where it comes by itself
     * @param  string|null  $controlId  the control that reads it; null where only the line itself wants it
     */
    public function __construct(public int $device, public int $item, public bool $isDone, public int $everyMs, public ?string $controlId)
    {
    }
}
