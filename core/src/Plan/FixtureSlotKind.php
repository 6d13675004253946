<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What a slot of a fixture is for. */
enum FixtureSlotKind: string
{
    /** How bright it is, all of it. */
    case Dimmer = 'dimmer';

    /** Whether light comes out at all, or how fast it flashes. */
    case Shutter = 'shutter';

    /** How much of a colour, or which. */
    case Colour = 'colour';

    /** Where it points, how wide it is. */
    case Position = 'position';

    /** Anything else: a program of its own, its speed. */
    case Other = 'other';

    /** Light comes of it, once whatever bars that lets it. */
    public function lights(): bool
    {
        return $this === self::Dimmer || $this === self::Colour;
    }
}
