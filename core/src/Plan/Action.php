<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum Action: string
{
    /** Changes over at each press; needs to know nothing, so a lost or doubled message leaves it wrong. */
    case Toggle = 'toggle';
    case On = 'on';
    case Off = 'off';
    /** On for a set time, then off by itself. */
    case Pulse = 'pulse';
    /** As the control stands: on while on. */
    case Follow = 'follow';
    /** On while held. */
    case Momentary = 'momentary';
    /** To a given value. */
    case Set = 'set';
    /** One step up or down. */
    case Step = 'step';

    /** @param  int|null  $value  to which value, for a set */
    public function putsOff(?int $value): bool
    {
        return $this === self::Off || ($this === self::Set && $value === 0);
    }

    /** It keeps the output on for as long as the control is on or held, and off afterwards. */
    public function holds(): bool
    {
        return $this === self::Follow || $this === self::Momentary;
    }

    /** It goes to a value, or by one. */
    public function takesValue(): bool
    {
        return $this === self::Set || $this === self::Step;
    }

    /** @return string "toggled", "stepped": what happens to an output that is asked this */
    public function done(): string
    {
        return match ($this) {
            self::Toggle => 'toggled',
            self::On => 'put on',
            self::Off => 'put off',
            self::Pulse => 'pulsed',
            self::Follow => 'made to follow',
            self::Momentary => 'held on',
            self::Set => 'set',
            self::Step => 'stepped',
        };
    }

    /** Sending it twice leaves the output as sending it once does. */
    public function survivesRepetition(): bool
    {
        return $this !== self::Toggle && $this !== self::Step;
    }
}
