<?php

declare(strict_types=1);

namespace Rundfunk\View;

/** A medium that shows more of a plan than its panel. */
interface OffersViews
{
    /** @return list<View> */
    public function views(): array;
}
