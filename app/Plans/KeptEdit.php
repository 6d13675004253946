<?php

declare(strict_types=1);

namespace App\Plans;

use Rundfunk\Check\Findings;
use Rundfunk\Edit\Edited;

/** An edit as it was kept: what it did, and the plan with it. */
final readonly class KeptEdit
{
    /**
     * @param  int  $version  that it made
     * @param  Findings|null  $before  what had been found before it; null where it had been kept earlier and came again
     * @param  Edited|null  $edited  null where it had been kept earlier and came again
     */
    public function __construct(public int $version, public LoadedPlan $after, public ?Findings $before = null, public ?Edited $edited = null)
    {
    }
}
