<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What one core of a cable is for. */
enum CoreUse: string
{
    /** Data from the first end of the cable to the other. */
    case Forward = 'forward';

    /** Data from the other end to the first. */
    case Back = 'back';

    /** One wire of a pair whose difference is the signal. */
    case A = 'a';

    /** The other of that pair. */
    case B = 'b';

    /** Of all that goes through the cable. */
    case Ground = 'ground';

    /** What feeds something at the other end. */
    case Plus = 'plus';

    public function words(): string
    {
        return match ($this) {
            self::Forward => 'data there',
            self::Back => 'data back',
            self::A => 'A of the pair',
            self::B => 'B of the pair',
            self::Ground => 'ground',
            self::Plus => 'supply',
        };
    }
}
