<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** At which of its inputs a supply feeds a board. */
enum FeedsAt: string
{
    /** Its USB socket. */
    case Usb = 'usb';

    /** Its input for seven volts and more, before its own regulator. */
    case Vin = 'vin';

    /** Its 5 V pin, straight: past fuse and regulator. */
    case FiveVolt = '5v';

    /** Its 3.3 V pin, straight: past the regulator. */
    case ThreeVolt = '3v3';

    /** Where a single lithium cell goes on a board with a charger: nothing else may. */
    case Cell = 'cell';

    /** What hangs on the pin hangs on the supply itself: the class of that pin, or null. */
    public function pinClass(): ?string
    {
        return match ($this) {
            self::FiveVolt => 'board-5v',
            self::ThreeVolt => 'board-3v3',
            self::Usb, self::Vin, self::Cell => null,
        };
    }
}
