<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Medium\Serial\Bought\ExamplesView;
use Rundfunk\Medium\Serial\Bought\ProtocolView;
use Rundfunk\Medium\Serial\Bought\TrialView;
use Rundfunk\View\OffersViews;

/** What screens show of it besides its panel. */
final readonly class SerialViews implements OffersViews
{
    public function views(): array
    {
        return [new ProtocolView, new TrialView, new ExamplesView];
    }
}
