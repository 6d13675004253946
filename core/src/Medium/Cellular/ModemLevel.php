<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

/** What stands between a board's sending pin and a modem's input. */
enum ModemLevel: string
{
    case Direct = 'direct';

    /** 1 kΩ and 1.2 kΩ to ground. */
    case Small = 'divider-1k-1k2';

    /** 1 kΩ and 2 kΩ to ground, as often copied. */
    case Copied = 'divider-1k-2k';

    case Shifter = 'shifter';

    /** @return non-empty-list<string> */
    public static function values(): array
    {
        return ['direct', 'divider-1k-1k2', 'divider-1k-2k', 'shifter'];
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return ['straight', 'divider 1k / 1.2k', 'divider 1k / 2k', 'level shifter'];
    }

    /** @return float|null volts that a high of so many becomes; null when it is made to fit */
    public function becomesV(float $highV): ?float
    {
        return match ($this) {
            self::Direct => $highV,
            self::Small => $highV * 1.2 / 2.2,
            self::Copied => $highV * 2 / 3,
            self::Shifter => null,
        };
    }
}
