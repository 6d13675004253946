<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\Serial\Calculator\ChecksumOf;
use Rundfunk\Medium\Serial\Calculator\PollCycleOf;
use Rundfunk\Medium\Serial\Calculator\RingDelayOf;

final readonly class SerialCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new ChecksumOf, new PollCycleOf, new RingDelayOf];
    }
}
