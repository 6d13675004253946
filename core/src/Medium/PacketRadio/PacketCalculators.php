<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\PacketRadio\Calculator\PacketAddressQuality;
use Rundfunk\Medium\PacketRadio\Calculator\PacketAirtime;
use Rundfunk\Medium\PacketRadio\Calculator\PacketFrequency;
use Rundfunk\Medium\PacketRadio\Calculator\PacketRetryDelay;

/** Its formulas, each to be used alone. */
final readonly class PacketCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new PacketAirtime, new PacketRetryDelay, new PacketFrequency, new PacketAddressQuality];
    }
}
