<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Assign\Proposes;
use Rundfunk\Medium\Ip\Step\AddressStep;
use Rundfunk\Medium\Ip\Step\ClientStep;

/** What Assign asks it for. */
final readonly class IpSteps implements Proposes
{
    public function steps(): array
    {
        return [new AddressStep, new ClientStep];
    }
}
