<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What goes over a link: who to or from, what, and how much. */
final readonly class Message
{
    /** Nobody sends it: a link says by it that a node on it does not answer any more. */
    public const GONE = 0xFFFF;

    /**
     * @param  int  $link  which of the node's links, from 0
     * @param  int  $node  the other node's number on it: the sender of what is heard, the receiver of what is told
     * @param  int  $value  −32768…32767
     */
    public function __construct(public int $link, public int $node, public int $code, public int $value)
    {
    }
}
