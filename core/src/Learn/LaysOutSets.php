<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A medium whose bought things come in sets: channel by channel, function by function, value by value, with codes that count up. */
interface LaysOutSets
{
    /** What must be said of a set before its codes can be laid out. */
    public function setShape(): Shape;

    /**
     * @param  Values  $values  obeying {@see setShape}
     *
     * @throws PlanRefused when it is too large, or no set at all
     */
    public function layOut(Plan $plan, Node $node, Values $values): CodeSet;
}
