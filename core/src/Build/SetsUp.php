<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium on which a bought thing must be set to something by hand, for no header of ours goes into it. */
interface SetsUp
{
    /** @return list<string> what to set on it, each as its manual would have it: "id 3", "9600 baud, 8N1" */
    public function settingUp(Plan $plan, Endpoint $endpoint): array;
}
