<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

/** What a remote does while a key is held. */
enum Holding
{
    /** A short frame of its own says "still held". */
    case RepeatFrame;

    /** The frame comes again, with a bit that changes only at a new press. */
    case ToggleBit;

    /** The frame comes again just as it was: a new press cannot be told from a held key but by the pause. */
    case SameFrame;

    public function tellsPressFromHold(): bool
    {
        return $this !== self::SameFrame;
    }
}
