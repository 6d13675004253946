<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Log;

use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\Recording;
use Rundfunk\Medium\Can\RecordingRefused;

/**
 * A recording in either of the two forms that bus tools write: candump's "(time) interface id#data", and the ASCII log "time channel id Rx d
 * length data". What is no frame of data is passed over: remarks, errors, remote frames. A line that says MARK, or begins with "now", is a mark
 * at the time of the frame before it.
 */
final readonly class ReadsRecording
{
    /** @throws RecordingRefused */
    public static function from(string $text): Recording
    {
        $at = $ids = $data = $marks = [];
        $first = null;
        $isHex = true;
        foreach (explode("\n", $text) as $number => $line) {
            $line = trim($line);
            if ($line === '') {
                continue;
            }
            if (preg_match('/^\((\d{1,12}\.\d{1,9})\)\s+\S+\s+([0-9A-Fa-f]{1,8})#(R\d?|(?:[0-9A-Fa-f]{2}[._]?){0,8})(?:\s+[RTrt])?$/', $line, $found) === 1) {
                if ($found[3] !== '' && $found[3][0] === 'R') {
                    continue;
                }
                // Three digits are a short identifier, eight a long one.
                [$time, $id, $isLong, $bytes] = [$found[1], (int) hexdec($found[2]), strlen($found[2]) > 3, (string) hex2bin(str_replace(['.', '_'], '', $found[3]))];
            } elseif (preg_match('/^(\d{1,12}\.\d{1,9})\s+\S+\s+([0-9A-Fa-f]{1,10})(x?)\s+[RT]x\s+d\s+([0-8])((?:\s+[0-9A-Fa-f]{1,3}){0,8})(?:\s.*)?$/i', $line, $found) === 1) {
                $parts = array_values(array_filter(explode(' ', strtr($found[5], "\t", ' ')), static fn (string $part): bool => $part !== ''));
                $bytes = implode('', array_map(static fn (string $one): string => chr(((int) ($isHex ? hexdec($one) : $one)) & 0xFF), array_slice($parts, 0, (int) $found[4])));
                [$time, $id, $isLong] = [$found[1], $isHex ? (int) hexdec($found[2]) : (int) $found[2], $found[3] !== ''];
                if (strlen($bytes) !== (int) $found[4]) {
                    throw RecordingRefused::line($number + 1, $line);
                }
            } elseif (preg_match('/^(#|\/\/|;|\*)?\s*(mark\b|now\b)/i', $line) === 1) {
                $marks[] = $at === [] ? 0 : $at[count($at) - 1];

                continue;
            } elseif (self::isRemark($line)) {
                $isHex = preg_match('/^base\s+dec/i', $line) === 1 ? false : $isHex;

                continue;
            } else {
                throw RecordingRefused::line($number + 1, $line);
            }
            if ($id > ($isLong ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST)) {
                throw RecordingRefused::line($number + 1, $line);
            }
            if (count($ids) === Recording::MOST_FRAMES) {
                throw RecordingRefused::tooLong();
            }
            $us = self::microseconds($time);
            $first ??= $us;
            $at[] = $us - $first;
            $ids[] = $id | ($isLong ? Recording::EXTENDED : 0);
            $data[] = $bytes;
        }

        return $ids === [] ? throw RecordingRefused::empty() : new Recording($at, $ids, $data, $marks);
    }

    /** Not by way of floating-point numbers: those of this year hold no microsecond. */
    private static function microseconds(string $time): int
    {
        [$seconds, $rest] = explode('.', $time);

        return 1_000_000 * (int) $seconds + (int) substr(str_pad($rest, 6, '0'), 0, 6);
    }

    /** Heads, remarks, and what the ASCII form says that is no frame of data. */
    private static function isRemark(string $line): bool
    {
        return preg_match('/^(#|;|\/\/|\*|date\b|base\b|internal\b|no internal\b|begin\b|end\b)/i', $line) === 1
            || preg_match('/^\d{1,12}\.\d{1,9}\s+(\S+\s+)?(start\b|errorframe\b|statistic\b|status\b|overload\b|[0-9a-fx]{1,10}\s+[rt]x\s+r\b|\S+\s+errorframe\b)/i', $line) === 1
            || preg_match('/^\(\d{1,12}\.\d{1,9}\)\s+\S+\s+[0-9A-F]{8}#[0-9A-F.]*\s*(ERRORFRAME)/i', $line) === 1;
    }
}
