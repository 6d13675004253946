<?php

declare(strict_types=1);

namespace App\Plans;

use Rundfunk\Check\Findings;
use Rundfunk\Edit\Edited;

/** An edit as it was kept: what it did, and the plan with it. */
final readonly class KeptEdit
{
    /**
     * @param  int  $from  the version it was made against
     * @param  Findings  $before  what had been found in that
     */
    public function __construct(public int $from, public Findings $before, public LoadedPlan $after, public Edited $edited)
    {
    }
}
