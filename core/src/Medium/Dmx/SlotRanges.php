<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** What the figures of a slot mean, as "0-9=closed, 10-255=open" has it. */
final readonly class SlotRanges
{
    /** @param  list<array{from: int, to: int, words: string}>  $ranges */
    private function __construct(public array $ranges, public bool $isSound)
    {
    }

    public static function of(string $text): self
    {
        $ranges = [];
        $isSound = true;
        foreach ($text === '' ? [] : self::parts($text) as $part) {
            if (preg_match('/^\s*(\d{1,3})\s*(?:[-–]\s*(\d{1,3})\s*)?=\s*(\S.*?)\s*$/uD', $part, $match) !== 1) {
                $isSound = false;

                continue;
            }
            $from = (int) $match[1];
            $to = $match[2] === '' ? $from : (int) $match[2];
            $before = $ranges[count($ranges) - 1]['to'] ?? -1;
            $isSound = $isSound && $to <= 255 && $to >= $from && $from > $before;
            $ranges[] = ['from' => $from, 'to' => $to, 'words' => $match[3]];
        }

        return new self($ranges, $isSound);
    }

    /** @return list<string> parted at commas that a figure follows: words may have commas of their own */
    private static function parts(string $text): array
    {
        $parts = preg_split('/,(?=\s*\d+\s*(?:[-–]\s*\d+\s*)?=)/u', $text);

        return $parts === false ? [$text] : $parts;
    }
}
