<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium whose end of a link remembers something between one message and the next: an 8-bit board has little room for it. */
interface TakesMemory
{
    /** @return int bytes on an 8-bit board, where nothing is padded */
    public function memoryBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int;

    /** @return int bytes of flash that its program takes on an 8-bit board, about: a fit that the tests hold to the compiler */
    public function programBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int;
}
