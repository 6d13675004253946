<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What a code that a node sends is on the air. */
final readonly class Said
{
    /**
     * @param  int  $link  which of the node's links, from 0
     * @param  int  $to  the receiver's number on that link
     * @param  string  $says  in words
     * @param  string  $for  the route it is for
     */
    public function __construct(public int $link, public int $to, public int $code, public string $says, public string $for)
    {
    }
}
