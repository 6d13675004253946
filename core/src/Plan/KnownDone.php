<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** How it is known that something which takes time is done. */
enum KnownDone: string
{
    /** After as long as it takes at most. */
    case Waited = 'waited';
    /** A reading says so when it is asked. */
    case Polled = 'polled';
    /** The device answers when it is done, and not before. */
    case Answered = 'answered';
}
