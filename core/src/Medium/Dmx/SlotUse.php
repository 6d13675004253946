<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\FixtureSlot;
use Rundfunk\Plan\Output;

/** One thing that an end is told: a slot of a fixture, or an output of a board of ours. */
final readonly class SlotUse
{
    /**
     * @param  FixtureSlot  $slot  where it is, from 1 at the start address
     * @param  Output|null  $output  what it is in the plan; null while nothing is asked of it
     */
    public function __construct(public FixtureSlot $slot, public ?Output $output)
    {
    }
}
