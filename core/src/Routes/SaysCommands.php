<?php

declare(strict_types=1);

namespace Rundfunk\Routes;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** A medium that says each command in words of its own: a learned key code, a command word, a topic. */
interface SaysCommands
{
    /** What goes over the link for a hop, as people write it; null while nothing says it. */
    public function saying(Plan $plan, Hop $hop): ?string;
}
