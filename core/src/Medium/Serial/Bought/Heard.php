<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** What was understood of a frame. */
final readonly class Heard
{
    /** @param  int|null  $wire  the number that it brought, or 1 and 0 for on and off; null where it brings none */
    public function __construct(public ?int $wire)
    {
    }
}
