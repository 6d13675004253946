<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What breaks a load's circuit besides the output, and hangs on neither this board nor the network. */
enum SecondBreak: string
{
    case None = 'none';

    /** A thermostat or thermal cut-out in its line. */
    case Thermostat = 'thermostat';

    /** A float or pressure switch in its line. */
    case Float = 'float';

    /** Limit switches and an emergency stop. */
    case Stops = 'stops';

    /** A second contact in series, worked by something else: a timer, another board. */
    case Contact = 'contact';

    public function words(): string
    {
        return match ($this) {
            self::None => 'nothing',
            self::Thermostat => 'a thermostat of its own',
            self::Float => 'a float or pressure switch',
            self::Stops => 'limit switches and an emergency stop',
            self::Contact => 'a second contact that something else works',
        };
    }
}
