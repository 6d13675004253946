<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

interface DrawsPanel
{
    /** @return class-string a readonly class; what {@see panel} gives is one of it, and the description of the interface is drawn from it */
    public function shape(): string;

    /** The figures of the medium's instrument panel. */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): object;
}
