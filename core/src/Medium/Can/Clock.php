<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Catalogue\ModuleClass;

/** How the controller of an end divides its clock. */
final readonly class Clock
{
    /** @return BitTiming|null null where it comes nowhere near the rate */
    public static function timing(CanSettings $settings, CanEnd $end, ModuleClass $class): ?BitTiming
    {
        $divided = is_int($class->figures['clockDivided'] ?? null) ? $class->figures['clockDivided'] : 1;

        return BitTiming::for((int) round($end->clockMHz * 1_000_000 / $divided), $settings->bitrate, $settings->samplePoint);
    }
}
