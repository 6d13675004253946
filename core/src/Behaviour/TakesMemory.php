<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium whose end of a link remembers something between one message and the next: an 8-bit board has little room for it. */
interface TakesMemory
{
    /** @return int bytes on an 8-bit board, where nothing is padded */
    public function memoryBytes(Plan $plan, Endpoint $endpoint): int;
}
