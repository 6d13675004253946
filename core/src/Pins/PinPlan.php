<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\BoardPin;

/** Which pin serves which demand, and which demands are left over. */
final readonly class PinPlan
{
    /**
     * @param  list<array{demand: Demand, pin: BoardPin}>  $placed
     * @param  list<Demand>  $unplaced
     */
    public function __construct(public array $placed, public array $unplaced, public int $cost)
    {
    }
}
