<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A key, a switch, or something that the program notices. Its input is 1 while it is worked, whatever level its pin then has. */
final readonly class Contact
{
    /**
     * @param  int  $debounceMs  how long it must be steady before it counts
     * @param  int  $repeatMs  how often what it holds is told again while it is worked; 0 for never
     */
    public function __construct(
        public string $name,
        public ContactKind $kind,
        public int $debounceMs,
        public int $repeatMs,
        public Does $does,
    ) {
    }
}
