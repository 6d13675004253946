<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

/** Something that comes over a bus again and again. */
final readonly class Sent
{
    /**
     * @param  int  $periodNs  the least time from one to the next
     * @param  int  $jitterNs  by which its release wanders
     */
    public function __construct(public int $id, public bool $extended, public int $bytes, public int $periodNs, public int $deadlineNs, public int $jitterNs = 0)
    {
    }

    /**
     * By which it wins or loses: bit by bit, 0 first. Of a short and a long identifier with the same eleven bits the short one wins, for the
     * bit behind it is recessive in the long one. Source: ISO 11898-1.
     */
    public function rank(): int
    {
        return $this->extended ? (($this->id >> 18) << 19) + (1 << 18) + ($this->id & 0x3_FFFF) : $this->id << 19;
    }
}
