<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/**
 * The mark/space text that infrared receivers' tools print: lines "pulse N" and "space N" in microseconds, "timeout N" for
 * a pause, "carrier N" in hertz, # for remarks; or all on one line as "+9000 -4500 +560 …".
 */
final readonly class CaptureText
{
    public const LARGEST = 2_000_000;

    /** An evening with a remote has some thousands, and the hiss between as many again. */
    public const MOST_FRAMES = 40_000;

    /** A pause of this length or longer ends a frame: longer than any space inside one, shorter than any gap between two. Common practice. */
    private const PAUSE_NS = 10_000_000;

    /**
     * @param  int  $pauseNs  what ends a frame: less than the usual for kinds whose pauses are short
     * @return list<Frame> in the order in which they came
     *
     * @throws CaptureRefused
     */
    public static function read(string $text, int $pauseNs = self::PAUSE_NS): array
    {
        if (strlen($text) > self::LARGEST) {
            throw CaptureRefused::tooLarge(self::LARGEST);
        }
        $frames = [];
        $lengths = [];
        $gapNs = null;
        $carrierHz = null;
        foreach (self::items($text) as [$what, $number]) {
            if ($what === 'carrier') {
                $carrierHz = $number;

                continue;
            }
            $ns = $number * 1000;
            $isMark = $what === 'pulse';
            if (! $isMark && ($ns >= $pauseNs || $what === 'timeout')) {
                self::put($frames, $lengths, $carrierHz, $gapNs);
                $gapNs = $ns;
                $lengths = [];
            } elseif ((count($lengths) % 2 === 0) === $isMark) {
                $lengths[] = $ns;
            } elseif ($lengths !== []) {
                // Two of a kind in a row are one that was interrupted.
                $lengths[count($lengths) - 1] += $ns;
            }
        }
        self::put($frames, $lengths, $carrierHz, $gapNs);

        return $frames === [] ? throw CaptureRefused::empty() : $frames;
    }

    /** @return string one frame as such text */
    public static function write(Signal $signal): string
    {
        $lines = $signal->carrierHz === null ? [] : ["carrier {$signal->carrierHz}"];
        foreach ($signal->lengthsNs as $at => $ns) {
            $lines[] = ($at % 2 === 0 ? 'pulse ' : 'space ').(int) round($ns / 1000);
        }

        return implode("\n", $lines)."\n";
    }

    /** @return iterable<array{string, int}> */
    private static function items(string $text): iterable
    {
        $lines = preg_split('/\R/', $text);
        foreach ($lines === false ? [] : $lines as $index => $line) {
            $line = trim((string) preg_replace('~(#|//).*$~', '', $line));
            if ($line === '' || str_starts_with($line, 'Running') || str_starts_with($line, 'Using')) {
                continue;
            }
            $signed = self::signed($line);
            if ($signed !== null) {
                yield from $signed;
            } elseif (preg_match('/^(pulse|space|timeout|carrier)\s+(\d{1,8})$/D', $line, $match) === 1) {
                yield [$match[1], (int) $match[2]];
            } else {
                throw CaptureRefused::atLine($index + 1, $line);
            }
        }
    }

    /** @return list<array{string, int}>|null null when it is no line of lengths with signs */
    private static function signed(string $line): ?array
    {
        if ($line[0] !== '+' && $line[0] !== '-') {
            return null;
        }
        $items = [];
        // Length by length: one expression over all of it gives up at some 15 kB.
        for ($at = 0, $end = strlen($line); $at < $end; $at += strlen($match[0])) {
            if (preg_match('/\G([+-])(\d{1,8})(?!\d)\s*/', $line, $match, 0, $at) !== 1) {
                return null;
            }
            $items[] = [$match[1] === '+' ? 'pulse' : 'space', (int) $match[2]];
        }

        return $items;
    }

    /**
     * @param  list<Frame>  $frames  to which it is added
     * @param  list<int>  $lengths
     *
     * @throws CaptureRefused
     */
    private static function put(array &$frames, array $lengths, ?int $carrierHz, ?int $gapNs): void
    {
        if ($lengths === []) {
            return;
        }
        if (count($lengths) % 2 === 0) {
            array_pop($lengths);
        }
        if (count($frames) === self::MOST_FRAMES) {
            throw CaptureRefused::tooMany(self::MOST_FRAMES);
        }
        $frames[] = new Frame(new Signal($lengths, $carrierHz), $gapNs);
    }
}
