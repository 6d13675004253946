<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

/** What a serial line is in volts. */
enum Levels: string
{
    /** As the pins of the boards have it, high while nobody speaks. */
    case Logic = 'logic';
    /** ± 5 to 15 V, low while nobody speaks, between two ends. TIA-232. */
    case Rs232 = 'rs-232';
    /** The difference of two wires, on which many may stand and one at a time drives. TIA-485. */
    case Rs485 = 'rs-485';

    public function words(): string
    {
        return match ($this) {
            self::Logic => 'logic levels',
            self::Rs232 => 'RS-232',
            self::Rs485 => 'RS-485',
        };
    }

    /**
     * How far it reaches at a rate. TIA-232 at 19,200; for RS-485 the well-known curve: 1200 m up to 100 kbit/s, then rate × length = 10⁸.
     * Logic levels: common practice.
     */
    public function reachM(int $baud): float
    {
        return match ($this) {
            self::Logic => $baud <= 9_600 ? 2.0 : 1.0,
            self::Rs232 => min(60.0, 15.0 * 19_200 / $baud),
            self::Rs485 => min(1_200.0, 1e8 / $baud),
        };
    }

    /** @return array<string, string> the wires that run from end to end, by what they are called there */
    public function cores(): array
    {
        return match ($this) {
            self::Logic, self::Rs232 => ['TX' => 'what this end says', 'RX' => 'what this end hears', 'GND' => 'ground'],
            self::Rs485 => ['A' => 'one wire of the twisted pair', 'B' => 'the other', 'GND' => 'ground'],
        };
    }
}
