<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** Where a module takes its current. */
enum SupplyFrom: string
{
    /** The board's own 3.3 V pin. */
    case Board3V3 = 'board-3v3';
    /** The board's own 5 V pin. */
    case Board5V = 'board-5v';
    /** A regulator adapter on the same node. */
    case Adapter = 'adapter';
    /** A supply of its own, common ground. */
    case Own = 'own';

    public function words(): string
    {
        return match ($this) {
            self::Board3V3 => "the board's 3.3 V pin",
            self::Board5V => "the board's 5 V pin",
            self::Adapter => 'the regulator adapter',
            self::Own => 'a supply of its own',
        };
    }
}
