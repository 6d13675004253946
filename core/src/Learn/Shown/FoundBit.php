<?php

declare(strict_types=1);

namespace Rundfunk\Learn\Shown;

/** A bit that may be the one that is looked for. */
final readonly class FoundBit
{
    /**
     * @param  string  $identifier  hexadecimal digits
     * @param  int  $place  8 · byte + bit
     * @param  bool  $value  what it is when the thing is on, or has happened last
     * @param  float  $score  0 to 1
     */
    public function __construct(public string $identifier, public int $place, public int $bytes, public ?float $periodMs, public bool $value, public float $score, public string $evidence)
    {
    }
}
