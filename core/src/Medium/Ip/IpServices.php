<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Behaviour\KnowsTheTime;
use Rundfunk\Behaviour\ShowsPages;

/** What else a network gives: the time of day, and somebody who opens pages. */
final readonly class IpServices implements KnowsTheTime, ShowsPages
{
}
