<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;

/** How long a key press takes over infrared. The first frame counts; appliances that want several sends wait for them. */
final readonly class IrTiming
{
    /** @return list<Span> */
    public static function spans(Plan $plan, Hop $hop, int $turn, Protocols $protocols): array
    {
        $frames = [];
        $periods = [];
        foreach (LearnedCodes::all($plan, $hop) as $code) {
            $signal = IrCodes::signal($code, $protocols);
            if ($signal !== null) {
                $periods[] = IrCodes::periodNs($code, $protocols);
                $frames[] = $signal->durationNs() + (IrCodes::leastSends($code, $protocols) - 1) * IrCodes::periodNs($code, $protocols);
            }
        }
        if ($frames === []) {
            return [];
        }
        // Which of several it will be nobody knows beforehand: some frames are shorter than others.
        $periodNs = max([0, ...$periods]);
        $spans = [];
        if ($turn > 0) {
            $spans[] = Span::fixed(SpanKind::Waiting, $turn === 1 ? 'another code first' : "{$turn} codes first", $turn * $periodNs);
        }

        // At worst the frame comes while the one before is still being sent, or is spoiled and must come again.
        return [...$spans,
            Span::oneOf(SpanKind::Airtime, 'frame', $frames),
            Span::again('sent again', 1, $periodNs),
        ];
    }
}
