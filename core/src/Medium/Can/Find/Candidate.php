<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Find;

/** A bit that may be the one that is looked for. */
final readonly class Candidate
{
    /**
     * @param  int  $id  as recordings have it
     * @param  int  $place  its place in the frame
     * @param  bool  $value  what it is when the thing is on, or has happened last
     * @param  float  $score  0 to 1
     * @param  string  $evidence  why, in words
     */
    public function __construct(public int $id, public int $place, public int $bytes, public ?int $periodUs, public bool $value, public float $score, public string $evidence)
    {
    }
}
