<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** A discrete part at a module's terminal. */
enum PartKind: string
{
    /** A resistor in the wire. */
    case SeriesResistor = 'series-resistor';

    /** A resistor from the wire to the supply of the module. */
    case PullUp = 'pull-up';

    /** A resistor from the wire to ground. */
    case PullDown = 'pull-down';

    /** Two resistors: one in the wire, one from behind it to ground. */
    case Divider = 'divider';

    /** One channel of a level shifter. */
    case Shifter = 'shifter';

    /** A transistor that pulls the terminal low, with its base resistor: it turns the signal over. */
    case Driver = 'driver';

    /** A capacitor from the terminal to ground. */
    case Capacitor = 'capacitor';

    /** A diode across a coil, cathode to plus. */
    case FlybackDiode = 'flyback-diode';

    /** A resistor and a capacitor in series, across a contact that breaks inductive alternating current. */
    case Snubber = 'snubber';

    public function words(): string
    {
        return match ($this) {
            self::SeriesResistor => 'resistor in series',
            self::PullUp => 'pull-up resistor',
            self::PullDown => 'pull-down resistor',
            self::Divider => 'divider',
            self::Shifter => 'level shifter',
            self::Driver => 'NPN transistor',
            self::Capacitor => 'capacitor',
            self::FlybackDiode => 'flyback diode',
            self::Snubber => 'snubber (100 Ω, 0.1 µF)',
        };
    }

    /** @return array<string, string> the fields of a part that say its figures, each with its words */
    public function figures(): array
    {
        return match ($this) {
            self::SeriesResistor, self::PullUp, self::PullDown => ['ohms' => 'Ω'],
            self::Divider => ['ohms' => 'Upper, Ω', 'lowerOhms' => 'Lower, Ω'],
            self::Driver => ['ohms' => 'Base, Ω'],
            self::Capacitor => ['microfarads' => 'µF', 'esrOhm' => 'ESR, Ω'],
            self::Shifter, self::FlybackDiode, self::Snubber => [],
        };
    }
}
