<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

/** A span as it went once, nanoseconds from the beginning. */
final readonly class Played
{
    public function __construct(public Span $span, public int $fromNs, public int $toNs)
    {
    }
}
