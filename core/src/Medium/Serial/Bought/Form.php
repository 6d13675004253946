<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** How a protocol's frames are written and read. */
interface Form
{
    /**
     * @param  int  $id  of the device that is meant, or that answers
     * @param  int  $wire  the number that the given value carries; for one that is on or off, 1 or 0
     * @return string the bytes on the line
     */
    public function encode(Saying $saying, int $id, int $wire): string;

    /**
     * @param  Received  $received  what came last
     * @return Heard|null null when it is not that
     */
    public function decode(Saying $saying, int $id, Received $received): ?Heard;

    /** @return int the fewest bytes that it takes on the line, whatever its figure */
    public function leastBytes(Saying $saying): int;

    /** @return int the most bytes that it takes on the line */
    public function mostBytes(Saying $saying): int;

    /** @return int the most bytes between two ends that a receiver must keep to read it */
    public function keptBytes(Saying $saying): int;
}
