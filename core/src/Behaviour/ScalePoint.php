<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** One place of a scale. */
final readonly class ScalePoint
{
    /**
     * @param  int  $raw  what is read there
     * @param  int  $unit  thousandths of the unit there
     */
    public function __construct(public int $raw, public int $unit)
    {
    }
}
