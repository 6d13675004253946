<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

/** A supply pin of a board. */
final readonly class RailOffered
{
    public function __construct(public string $supply, public string $name, public float $volts, public float $limitMa)
    {
    }
}
