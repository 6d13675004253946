<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\Can\Step\IdentifierStep;
use Rundfunk\Medium\Can\Step\ListenStep;
use Rundfunk\Medium\Can\Step\SignalStep;

/** What Assign asks it for. */
final readonly class CanSteps implements Proposes
{
    public function steps(): array
    {
        return [new IdentifierStep, new ListenStep, new SignalStep];
    }
}
