<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** One step of a sequence. */
final readonly class Moment
{
    /** @param  int  $afterMs  how long after the step before it */
    public function __construct(public string $name, public int $afterMs, public Does $does)
    {
    }
}
