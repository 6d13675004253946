<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** Several outputs that are worked as one. */
final readonly class Group
{
    /** @param  int  $output  which of the node's outputs, from 0: what it is put to, the others are told */
    public function __construct(public int $output, public Does $does)
    {
    }
}
