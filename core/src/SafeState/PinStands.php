<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** How a board's pin stands towards what hangs on it. */
enum PinStands: string
{
    case High = 'high';

    case Low = 'low';

    /** It drives nothing. */
    case Floats = 'floating';

    /** It drives nothing but some ten kiloohms in the chip. */
    case WeakUp = 'weak pull-up';

    case WeakDown = 'weak pull-down';

    /** Its board has no power: its clamp diode holds it some 0.6 V above ground. */
    case Dead = 'unpowered';

    /** High and low in turn. */
    case Toggles = 'toggling';

    /** As it was last put. */
    case Held = 'held';

    /** What it is at power-up is chance. */
    case Chance = 'anything';
}
