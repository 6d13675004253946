<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium whose ends need discrete parts that follow from its settings: the resistor before an emitter. */
interface ListsParts
{
    /** @return list<PartLine> */
    public function partLines(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array;
}
