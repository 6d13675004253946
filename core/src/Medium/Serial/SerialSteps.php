<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\Serial\Step\AskerStep;
use Rundfunk\Medium\Serial\Step\FunctionStep;
use Rundfunk\Medium\Serial\Step\LevelStep;
use Rundfunk\Medium\Serial\Step\StationStep;
use Rundfunk\Medium\Serial\Step\TerminatorStep;
use Rundfunk\Medium\Serial\Step\TimeoutStep;

/** What Assign asks it for. */
final readonly class SerialSteps implements Proposes
{
    public function steps(): array
    {
        return [new FunctionStep, new AskerStep, new StationStep, new TerminatorStep, new TimeoutStep, new LevelStep];
    }
}
