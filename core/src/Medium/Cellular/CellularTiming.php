<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Figures;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;

/** How long a call or a text takes. Nobody promises it. Common practice. */
final readonly class CellularTiming
{
    private const S = 1_000_000_000;

    /** @return list<Span> */
    public static function spans(Plan $plan, Hop $hop, int $turn): array
    {
        $call = $plan->control($plan->route($hop->routeId)->controlId)->kind === ControlKind::Call;
        $spans = $turn > 0 ? [Span::between(SpanKind::Waiting, Figures::counted($turn, 'text').' first', $turn * 3 * self::S, $turn * 5 * self::S, $turn * 60 * self::S)] : [];

        return [...$spans, $call
            ? Span::between(SpanKind::Airtime, 'until it rings', 3 * self::S, 6 * self::S, 15 * self::S)
            : Span::between(SpanKind::Airtime, 'the text on its way', 2 * self::S, 6 * self::S, 300 * self::S)];
    }
}
