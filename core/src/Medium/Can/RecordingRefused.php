<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use RuntimeException;

/** A text that is no recording of a bus, or no description of one. */
final class RecordingRefused extends RuntimeException
{
    public static function empty(): self
    {
        return new self('No frame is in it. A line of a recording is "(1345212884.318850) can0 123#01020304", or of the other common form "0.100000 1 123 Rx d 4 01 02 03 04".');
    }

    public static function line(int $number, string $line): self
    {
        return new self("Line {$number} is no frame: \u{201C}".mb_strimwidth($line, 0, 60, '…')."\u{201D}.");
    }

    public static function tooLong(): self
    {
        return new self('More than '.number_format(Recording::MOST_FRAMES, 0, '', ' ').' frames: cut out the minute in which it happens.');
    }

    public static function description(int $number, string $what): self
    {
        return new self("Line {$number} of the description: {$what}.");
    }
}
