<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

use RuntimeException;

/** A capture file that cannot be read. Nothing was learned from it. */
final class CaptureRefused extends RuntimeException
{
    public static function atLine(int $line, string $text): self
    {
        return new self("Line {$line} is neither \"pulse N\" nor \"space N\" in microseconds: \"".mb_substr(mb_scrub($text), 0, 40).'".');
    }

    public static function tooLarge(int $most): self
    {
        return new self('The capture is larger than '.intdiv($most, 1000).' kB: that is more than any evening of key presses.');
    }

    public static function tooMany(int $most): self
    {
        return new self("There are more than {$most} frames in it. Capture a few keys at a time, and no hiss in between.");
    }

    public static function tooManyPresses(int $most): self
    {
        return new self("There are more than {$most} presses of keys in it. Capture a few keys at a time.");
    }

    public static function empty(): self
    {
        return new self('There is no pulse in it. Each line should say "pulse N" or "space N", N in microseconds.');
    }
}
