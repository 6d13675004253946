<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\Dmx\Step\AddressStep;
use Rundfunk\Medium\Dmx\Step\EndStep;
use Rundfunk\Medium\Dmx\Step\UniverseStep;

/** What Assign asks it for. */
final readonly class DmxSteps implements Proposes
{
    public function steps(): array
    {
        return [new UniverseStep, new AddressStep, new EndStep];
    }
}
