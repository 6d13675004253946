<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** What a device says unasked and a message is made of. */
final readonly class Notice
{
    /**
     * @param  int  $device  which, from 0
     * @param  int  $item  which of the tables' entries, from 0
     */
    public function __construct(public int $device, public int $item, public int $code)
    {
    }
}
