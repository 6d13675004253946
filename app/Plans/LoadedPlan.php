<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\PlanRecord;
use Closure;
use Rundfunk\Check\Findings;
use Rundfunk\Plan\Plan;

/** A plan as it was read from the database, with the version it had. What is found in it is worked out when it is asked for: most that is shown of a plan does without. */
final class LoadedPlan
{
    private ?Findings $found = null;

    /** @param  Closure(): Findings  $findings */
    public function __construct(public readonly PlanRecord $record, public readonly Plan $plan, public readonly int $version, private readonly Closure $findings)
    {
    }

    public function findings(): Findings
    {
        return $this->found ??= ($this->findings)();
    }
}
