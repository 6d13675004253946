<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Figures;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Segment;
use Rundfunk\Timing\SegmentKind;

/** How long a call or a text takes. Nobody promises it. Common practice. */
final readonly class CellularTiming
{
    private const S = 1_000_000_000;

    /** @return list<Segment> */
    public static function segments(Plan $plan, Hop $hop, int $turn): array
    {
        $call = $plan->control($plan->route($hop->routeId)->controlId)->kind === ControlKind::Call;
        $segments = $turn > 0 ? [new Segment(SegmentKind::Waiting, Figures::counted($turn, 'text').' first', $turn * 3 * self::S, $turn * 5 * self::S, $turn * 60 * self::S)] : [];

        return [...$segments, $call
            ? new Segment(SegmentKind::Airtime, 'until it rings', 3 * self::S, 6 * self::S, 15 * self::S)
            : new Segment(SegmentKind::Airtime, 'the text on its way', 2 * self::S, 6 * self::S, 300 * self::S)];
    }
}
