<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** What hangs on a contact, by what it draws when it is switched on and what it does to the contact when it is switched off. */
enum LoadKind: string
{
    /** Heaters, ovens: what they draw, they draw from the first moment. */
    case Resistive = 'resistive';

    /** Filament lamps: cold, they are a tenth of their resistance. */
    case Lamp = 'lamp';

    /** Motors, pumps, compressors: standing still they are little but their winding. */
    case Motor = 'motor';

    /** Transformers, valves, contactors: switched on at the wrong moment their iron is full. */
    case Inductive = 'inductive';

    /** LED drivers and switched supplies: their capacitor is empty. */
    case Capacitive = 'capacitive';

    public function words(): string
    {
        return match ($this) {
            self::Resistive => 'resistive',
            self::Lamp => 'filament lamp',
            self::Motor => 'motor',
            self::Inductive => 'coil, transformer',
            self::Capacitive => 'LED, capacitive',
        };
    }

    /** So many times what it draws later, at worst. Source: tables of inrush in relay makers' technical notes, upper ends, from memory. */
    public function inrush(): float
    {
        return match ($this) {
            self::Resistive => 1.0,
            self::Lamp => 15.0,
            self::Motor => 10.0,
            self::Inductive => 15.0,
            self::Capacitive => 40.0,
        };
    }

    /**
     * What a contact bears of it, of the rating that is printed on it (which is for resistive loads): a motor that stops draws the arc out, a
     * lamp that starts welds. Source: derating as it is common in reliability handbooks (inductive 40 %, motor 20 %, filament 10 %), from memory;
     * resistive and capacitive are common practice.
     */
    public function share(): float
    {
        return match ($this) {
            self::Resistive => 0.8,
            self::Inductive => 0.4,
            self::Motor => 0.2,
            self::Lamp, self::Capacitive => 0.1,
        };
    }

    /** What it draws at first it draws for long enough that a supply which limits its current feels it; a capacitor is full and a core is right within a period. */
    public function startsSlowly(): bool
    {
        return $this === self::Motor || $this === self::Lamp;
    }

    /** A fuse that takes its time when it is switched on, or it blows each time. */
    public function wantsTimeLag(): bool
    {
        return $this !== self::Resistive;
    }
}
