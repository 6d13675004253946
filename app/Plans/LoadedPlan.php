<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\PlanRecord;
use Rundfunk\Check\Findings;
use Rundfunk\Plan\Plan;

/** A plan as it was read from the database, with the version it had. */
final readonly class LoadedPlan
{
    public function __construct(public PlanRecord $record, public Plan $plan, public int $version, public Findings $findings)
    {
    }
}
