<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\PacketRadio\Step\AddressStep;
use Rundfunk\Medium\PacketRadio\Step\LinkChannelStep;
use Rundfunk\Medium\PacketRadio\Step\PayloadStep;
use Rundfunk\Medium\PacketRadio\Step\RetryDelayStep;

/** What Assign asks it for. */
final readonly class PacketSteps implements Proposes
{
    public function steps(): array
    {
        return [new LinkChannelStep, new AddressStep, new PayloadStep, new RetryDelayStep];
    }
}
