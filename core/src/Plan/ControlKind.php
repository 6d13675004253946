<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum ControlKind: string
{
    /** Springs back when let go. */
    case Button = 'button';
    /** Stays where it is put. */
    case Switch = 'switch';
    /** A position read as a voltage, such as one direction of a joystick. */
    case Axis = 'axis';

    /** @return list<Action> what such a control can sensibly ask of an output */
    public function actions(): array
    {
        return match ($this) {
            self::Button => [Action::Toggle, Action::On, Action::Off, Action::Pulse, Action::Momentary],
            self::Switch => [Action::Follow, Action::On, Action::Off],
            self::Axis => [Action::Set, Action::Step],
        };
    }
}
