<?php

declare(strict_types=1);

namespace App\Plans;

use Rundfunk\Check\Findings;
use Rundfunk\Plan\Plan;

/** A plan as it was read from the database, with the version it had. */
final readonly class LoadedPlan
{
    public function __construct(public Plan $plan, public int $version, public Findings $findings)
    {
    }
}
