<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Links\FitsParts;
use Rundfunk\Plan\Link;

/** Which part serves which line: the one whose levels are the line's. */
final readonly class SerialFits implements FitsParts
{
    public function fits(Link $link, ModuleClass $class): bool
    {
        return ($class->figures['levels'] ?? null) === SerialSettings::of($link)->levels->value;
    }
}
