<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/** What is done one after another while an output of the node is on. Put off before its end it stops where it is. */
final readonly class Sequence
{
    /**
     * @param  int  $output  which of the node's outputs, from 0: on starts it, off stops it, at its end it is off again
     * @param  int  $passes  how often it is gone through; 0 until it is put off
     * @param  int  $pauseMs  after its last step
     * @param  list<Moment>  $moments
     * @param  Does  $stopped  what is done when it is put off before its end
     */
    public function __construct(
        public int $output,
        public int $passes,
        public int $pauseMs,
        #[ListOf(Moment::class)] public array $moments,
        public Does $stopped,
    ) {
    }
}
