<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What a node reads in one step, in the order of its tables. */
final readonly class Inputs
{
    /**
     * @param  list<int>  $contacts  1 while worked, otherwise 0
     * @param  list<int>  $gauges  thousandths of the unit, {@see Gauge::FAILED} when it cannot be read
     * @param  list<int>  $sticks  as the converter reads them
     */
    public function __construct(public array $contacts = [], public array $gauges = [], public array $sticks = [])
    {
    }
}
