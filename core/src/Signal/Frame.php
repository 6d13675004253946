<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/** One frame of a capture. */
final readonly class Frame
{
    /** @param  int|null  $gapNs  the pause before it, nanoseconds; null for the first */
    public function __construct(public Signal $signal, public ?int $gapNs)
    {
    }
}
