<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Log;

use Rundfunk\Medium\Can\Recording;

/** A recording in either of the two forms. */
final readonly class WritesRecording
{
    /** Some moment: programs take a recording that begins with the year 1970 for one that has no times. */
    private const BEGAN_US = 1_600_000_000_000_000;

    public static function candump(Recording $recording, string $interface = 'can0'): string
    {
        $lines = [];
        foreach ($recording->ids as $at => $id) {
            $lines[] = '('.self::seconds(self::BEGAN_US + $recording->atUs[$at]).") {$interface} ".Recording::hex($id).'#'.strtoupper(bin2hex($recording->data[$at]));
        }

        return implode("\n", $lines)."\n";
    }

    public static function asc(Recording $recording): string
    {
        $lines = ['date Thu Jan 1 00:00:00 am 1970', 'base hex  timestamps absolute', 'no internal events logged'];
        foreach ($recording->ids as $at => $id) {
            $name = sprintf('%X', Recording::bare($id)).(Recording::isExtended($id) ? 'x' : '');
            $bytes = $recording->data[$at] === '' ? [] : str_split(strtoupper(bin2hex($recording->data[$at])), 2);
            $lines[] = rtrim(sprintf('%11s 1  %-15s Rx   d %d %s', self::seconds($recording->atUs[$at]), $name, count($bytes), implode(' ', $bytes)));
        }

        return implode("\n", $lines)."\n";
    }

    private static function seconds(int $us): string
    {
        return sprintf('%d.%06d', intdiv($us, 1_000_000), $us % 1_000_000);
    }
}
