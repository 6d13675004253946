<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;

/** One message to another node. What holds says 1 when worked and 0 when let go; a set or step says its value, everything else what its source says, if anything. */
final readonly class Tell
{
    /**
     * @param  int  $link  which of the node's links, from 0
     * @param  int  $to  the receiver's number on that link
     * @param  int  $code  what is asked; {@see NumbersMessages} says what that is on the air
     * @param  int|null  $value  null when the source says it
     * @param  Travel|null  $travel  for a stick: how its way becomes the value
     * @param  true|null  $both  for what holds: that it does not is told again too, for the receiver comes on when nobody says so
     */
    public function __construct(
        public int $link,
        public int $to,
        public int $code,
        public Action $action,
        public ?int $value,
        public ?Travel $travel = null,
        public ?bool $both = null,
    ) {
    }
}
