<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium whose parts hang on a serial port of the board. */
interface SetsBaud
{
    /** @return int symbols a second between the board and the part that serves an end */
    public function baud(Plan $plan, Endpoint $endpoint): int;
}
