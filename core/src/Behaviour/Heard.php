<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/** A message that the node understands, and what it does about it. */
final readonly class Heard
{
    /**
     * @param  int  $link  which of the node's links, from 0
     * @param  int  $from  the sender's number on that link; 0 where the medium does not tell
     * @param  string  $says  what it is on the air, in words
     * @param  list<Drive>  $drives
     * @param  list<Pass>  $passes
     */
    public function __construct(
        public int $link,
        public int $from,
        public int $code,
        public string $says,
        #[ListOf(Drive::class)] public array $drives,
        #[ListOf(Pass::class)] public array $passes,
    ) {
    }
}
