<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\KeyedRadio\Calculator\KeyedFrameTime;
use Rundfunk\Medium\KeyedRadio\Calculator\QuarterWaveLength;

/** Its formulas, each to be used alone. */
final readonly class KeyedCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new KeyedFrameTime, new QuarterWaveLength];
    }
}
