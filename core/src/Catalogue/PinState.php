<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** What a pin does by itself while no program tells it. */
enum PinState: string
{
    /** Neither high nor low: whatever hangs on it decides. */
    case Floats = 'float';

    /** Held high by some ten kiloohms in the chip: nothing for a coil, enough for a gate. */
    case WeakUp = 'up';

    case WeakDown = 'down';

    /** Driven. */
    case High = 'high';

    case Low = 'low';

    /** It says something: a lamp that flashes, a console that talks. */
    case Toggles = 'toggles';

    public function drives(): bool
    {
        return in_array($this, [self::High, self::Low, self::Toggles], true);
    }

    /** It works what hangs on it, which such a level switches on. */
    public function switchesOn(Level $on): bool
    {
        return $this === self::Toggles || ($this === self::High && $on === Level::High) || ($this === self::Low && $on === Level::Low);
    }
}
