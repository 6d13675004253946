<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;

/** One thing done to an output of the node itself. */
final readonly class Drive
{
    /**
     * @param  int  $output  which of the node's outputs, from 0
     * @param  int  $master  which of that output's masters that hold it, from 0; −1 when it does not hold
     * @param  bool  $byHand  somebody works it, as against something that happens by itself
     * @param  int|null  $value  for a set, to what, and for a step, how far; null when the source says it
     * @param  int  $pulseMs  for a pulse, how long; otherwise 0
     * @param  Travel|null  $travel  for a stick: how its way becomes the output's value
     * @param  bool  $answers  it says how something stands elsewhere: while it comes, what the output shows is known
     */
    public function __construct(
        public int $output,
        public Action $action,
        public int $master,
        public bool $byHand,
        public ?int $value,
        public int $pulseMs,
        public ?Travel $travel = null,
        public bool $answers = false,
    ) {
    }
}
