<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\KeyedRadio\Step\AntennaStep;
use Rundfunk\Medium\KeyedRadio\Step\ButtonStep;
use Rundfunk\Medium\KeyedRadio\Step\SenderStep;

/** What Assign asks it for. */
final readonly class KeyedSteps implements Proposes
{
    public function steps(): array
    {
        return [new SenderStep, new ButtonStep, new AntennaStep];
    }
}
