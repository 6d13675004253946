<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

/** One field of a frame. */
final readonly class SerialField
{
    public function __construct(public string $name, public int $bytes, public string $says)
    {
    }
}
