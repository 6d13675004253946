<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\Dmx\Calculator\FadeOf;
use Rundfunk\Medium\Dmx\Calculator\MulticastOf;
use Rundfunk\Medium\Dmx\Calculator\RefreshOf;
use Rundfunk\Medium\Dmx\Calculator\SwitchesOf;

/** What a person would want to work out alone. */
final readonly class DmxCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new RefreshOf, new SwitchesOf, new FadeOf, new MulticastOf];
    }
}
