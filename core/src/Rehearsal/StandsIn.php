<?php

declare(strict_types=1);

namespace Rundfunk\Rehearsal;

/**
 * Something outside of our boards that the bench plays: a modem, a phone, a bought device. It is told what happens and when, and says what
 * comes of it and when; it knows no clock, and what is left to chance in it comes from a source that it was handed.
 */
interface StandsIn
{
    /**
     * @param  int  $atNs  since the beginning, nanoseconds; never before what it was told last
     * @return list<Scheduled> what comes of it, none of it before that
     */
    public function react(int $atNs, Event $event): array;
}
