<?php

declare(strict_types=1);

namespace Rundfunk\Links;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Link;

/** A medium whose parts do not all fit all of its links: what speaks RS-232 is none for RS-485. */
interface FitsParts
{
    public function fits(Link $link, ModuleClass $class): bool;
}
