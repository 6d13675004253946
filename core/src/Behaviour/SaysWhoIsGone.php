<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium on which an end notices by itself that another does not answer any more, sooner than by waiting for what it tells. */
interface SaysWhoIsGone
{
    public function noticesGone(Plan $plan, Endpoint $endpoint): bool;
}
