<?php

declare(strict_types=1);

namespace Rundfunk\Learn\Shown;

use Rundfunk\Shape\ListOf;

/** One identifier of a recording. */
final readonly class RecordedRow
{
    /**
     * @param  string  $identifier  hexadecimal digits: three, or eight where it is a long one
     * @param  float|null  $periodMs  as a rule; null of a single frame
     * @param  float  $jitterMs  of nine gaps in ten
     * @param  list<float>  $restless  of each bit, from byte 0 bit 0 on: how often it turned from one frame to the next, 0 to 1
     * @param  list<int>  $checks  bytes that check the others
     */
    public function __construct(
        public string $identifier,
        public int $frames,
        public int $bytes,
        public ?float $periodMs,
        public float $jitterMs,
        #[ListOf('float')] public array $restless,
        #[ListOf('int')] public array $checks,
    ) {
    }
}
