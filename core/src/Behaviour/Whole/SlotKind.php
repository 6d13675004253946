<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

/** How something that is told stands in a frame that says all. */
enum SlotKind: string
{
    /** Worked or not: a switch, a key that is held. */
    case Held = 'held';

    /** A value: a stick, a reading. */
    case Valued = 'valued';

    /** How often it was worked, modulo four: a key that asks for one thing. So many presses may be lost in a row, less one, and be made up. */
    case Counted = 'counted';
}
