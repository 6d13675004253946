<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

/** How several boxes come to share the one line on which they answer, where each has a wire that is driven high and low. */
enum Returning: string
{
    /** Their wires are simply joined: two drive against each other. */
    case Joined = 'joined';
    /** A silicon diode at each, and a pull-up: 0.7 V and more are lost on every low. */
    case Diodes = 'diodes';
    /** A Schottky diode at each, and a pull-up: 0.3 V are lost. */
    case Schottky = 'schottky';
    /** Each lets go of its pin while it is not asked. */
    case LetGo = 'let-go';

    public function words(): string
    {
        return match ($this) {
            self::Joined => 'simply joined',
            self::Diodes => 'a silicon diode at each',
            self::Schottky => 'a Schottky diode at each',
            self::LetGo => 'each lets go of its pin',
        };
    }

    /** @return float volts by which it lifts a low, in the cold. Data sheets of the classes, from memory. */
    public function liftsV(): float
    {
        return match ($this) {
            self::Diodes => 0.75,
            self::Schottky => 0.35,
            default => 0.0,
        };
    }
}
