<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Plan\Load;

/** The worst moment of a supply: a motor or a filament starts while all else is on. */
final readonly class Start
{
    /** @param  float  $milliamperes  all that flows then, if the supply gives it */
    public function __construct(public Load $load, public float $milliamperes)
    {
    }
}
