<?php

declare(strict_types=1);

namespace Rundfunk\Rehearsal;

/** What will happen, and when: nanoseconds since the beginning. */
final readonly class Scheduled
{
    public function __construct(public int $atNs, public Event $event)
    {
    }
}
