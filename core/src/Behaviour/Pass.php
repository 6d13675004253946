<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A message handed on: same value, another link, another code. */
final readonly class Pass
{
    /** @param  int  $link which of the node's links, from 0 */
    public function __construct(public int $link, public int $to, public int $code)
    {
    }
}
