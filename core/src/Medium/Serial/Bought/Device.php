<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** One bought device of a line. */
final readonly class Device
{
    /**
     * @param  int  $number  its end's number on the link
     * @param  int  $id  by which it is asked; 0 where its protocol has no ids
     */
    public function __construct(public string $name, public int $number, public int $id)
    {
    }
}
