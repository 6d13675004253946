<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Segment;
use Rundfunk\Timing\SegmentKind;

/** How long a key press takes over infrared. The first frame counts; appliances that want several sends wait for them. */
final readonly class IrTiming
{
    /** @return list<Segment> */
    public static function segments(Plan $plan, Hop $hop, int $turn, Protocols $protocols): array
    {
        $code = LearnedCodes::of($plan, $hop);
        $signal = $code === null ? null : IrCodes::signal($code, $protocols);
        if ($code === null || $signal === null) {
            return [];
        }
        $periodNs = IrCodes::periodNs($code, $protocols);
        $frameNs = $signal->durationNs() + (IrCodes::leastSends($code, $protocols) - 1) * $periodNs;
        $segments = [];
        if ($turn > 0) {
            $segments[] = new Segment(SegmentKind::Waiting, $turn === 1 ? 'another code first' : "{$turn} codes first", $turn * $periodNs, $turn * $periodNs, $turn * $periodNs);
        }

        // At worst the frame comes while the one before is still being sent, or is spoiled and must come again.
        return [...$segments,
            new Segment(SegmentKind::Airtime, 'frame', $frameNs, $frameNs, $frameNs),
            new Segment(SegmentKind::Retries, 'sent again', 0, 0, $periodNs),
        ];
    }
}
