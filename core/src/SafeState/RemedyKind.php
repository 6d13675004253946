<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** What can make an output safe, and what it costs a builder: the figures are the trade book's (§12), a line of program 1, another device 13. */
enum RemedyKind: string
{
    /** The program writes the level before it makes the pin an output. */
    case LevelFirst = 'level-first';

    /** The program puts it to its safe state when it starts. */
    case StartSafe = 'start-safe';

    /** What put it on from afar must be heard of again, or it goes off. */
    case TimeOut = 'time-out';

    /** A resistor to the signal supply. */
    case PullUp = 'pull-up';

    /** A resistor to ground. */
    case PullDown = 'pull-down';

    /** The load goes to the relay's other contact, and the program turns over. */
    case SwapContact = 'swap-contact';

    /** The signal side is fed by what feeds the board's own logic: jumper off, one wire. */
    case FeedSignal = 'feed-signal';

    /** A transistor before the terminal, and the program turns over. */
    case Driver = 'driver';

    /** The chip's own timer resets a program that hangs. */
    case Watchdog = 'watchdog';

    /** Something else in the load's circuit that opens it. */
    case SecondBreak = 'second-break';

    public function cost(): int
    {
        return match ($this) {
            self::LevelFirst, self::StartSafe, self::TimeOut => 1,
            self::PullUp, self::PullDown => 2,
            self::SwapContact => 3,
            // The book has no figure for the jumper: as much as the transistor that it saves, so that neither hides the other.
            self::FeedSignal, self::Driver => 5,
            self::Watchdog => 8,
            self::SecondBreak => 13,
        };
    }
}
