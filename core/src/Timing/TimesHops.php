<?php

declare(strict_types=1);

namespace Rundfunk\Timing;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

interface TimesHops
{
    /**
     * @param  int  $turn  how many other receivers the sender serves first for the same press
     * @return list<Span> from the sender's decision to the receiver's knowing
     */
    public function spans(Plan $plan, Hop $hop, int $turn): array;
}
