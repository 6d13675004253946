<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Routes\PublishesReadings;

/** A node on IP publishes its readings to whoever subscribes. */
final readonly class IpReadings implements PublishesReadings
{
}
