<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\View\OffersViews;

/** What screens show of it besides its panel. */
final readonly class DmxViews implements OffersViews
{
    public function views(): array
    {
        return [new SlotStripView];
    }
}
