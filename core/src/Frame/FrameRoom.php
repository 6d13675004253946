<?php

declare(strict_types=1);

namespace Rundfunk\Frame;

/** Bytes of a frame that have a layout of their own. */
final readonly class FrameRoom
{
    public function __construct(public string $name, public int $fromByte, public int $bytes, public string $doc)
    {
    }

    /** @return int the byte after it */
    public function endByte(): int
    {
        return $this->fromByte + $this->bytes;
    }
}
