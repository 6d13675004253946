<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\OutOfRange;

/** What a modem's answer to AT+CSQ means. Source: 3GPP TS 27.007. */
final readonly class ModemSignal
{
    private const UNKNOWN = 99;

    /** @return int|null dBm; null when the modem does not know */
    public static function dbm(int $csq): ?int
    {
        if ($csq === self::UNKNOWN) {
            return null;
        }
        OutOfRange::unless('csq', $csq, 0, 31);

        return -113 + 2 * $csq;
    }

    /** What to make of it. Common practice. */
    public static function words(int $csq): string
    {
        $dbm = self::dbm($csq);

        return match (true) {
            $dbm === null => 'not known yet: no network, or asked too early',
            $dbm < -105 => 'too weak: texts come late or never',
            $dbm < -95 => 'weak: a better antenna or place',
            $dbm < -80 => 'good enough',
            default => 'strong',
        };
    }
}
