<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A position: one direction of a stick, a potentiometer, a slider of a page. */
final readonly class Stick
{
    /**
     * @param  int  $everyMs  how often it is looked at
     * @param  int  $repeatMs  how often its value is told though it is still the same; 0 for never
     */
    public function __construct(
        public string $name,
        public Axis $axis,
        public int $everyMs,
        public int $repeatMs,
        public Does $does,
    ) {
    }
}
