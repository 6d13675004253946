<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Links\FitsParts;
use Rundfunk\Links\RidesOn;
use Rundfunk\Plan\Link;

/** Which part serves which universe: any by wire, none over the network, for there the node's own network does it. */
final readonly class DmxFits implements FitsParts, RidesOn
{
    /** The key of the medium by which packets travel. */
    private const NETWORK = 'ip';

    public function fits(Link $link, ModuleClass $class): bool
    {
        return ! DmxSettings::of($link)->isNetwork;
    }

    public function ridesOn(Link $link): ?string
    {
        return DmxSettings::of($link)->isNetwork ? self::NETWORK : null;
    }
}
