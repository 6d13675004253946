<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** What a message to a device comes to. */
final readonly class Order
{
    /**
     * @param  int  $device  which, from 0
     * @param  int  $code  of the message
     * @param  int  $item  which of the tables' functions, from 0
     * @param  int|null  $figure  the plan's; null where the message says it
     */
    public function __construct(public int $device, public int $code, public int $item, public ?int $figure)
    {
    }
}
