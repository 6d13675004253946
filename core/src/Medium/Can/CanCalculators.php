<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\Can\Calculator\BitTimingOf;
use Rundfunk\Medium\Can\Calculator\FrameBitsOf;
use Rundfunk\Medium\Can\Calculator\FrameOf;
use Rundfunk\Medium\Can\Calculator\ResponseTimesOf;
use Rundfunk\Medium\Can\Calculator\TerminationOf;

final readonly class CanCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new FrameBitsOf, new FrameOf, new BitTimingOf, new ResponseTimesOf, new TerminationOf];
    }
}
