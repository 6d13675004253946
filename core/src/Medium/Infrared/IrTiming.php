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
        $segments = [];
        if ($turn > 0) {
            $segments[] = new Segment(SegmentKind::Waiting, $turn === 1 ? 'another code first' : "{$turn} codes first", $turn * $periodNs, $turn * $periodNs, $turn * $periodNs);
        }

        // At worst the frame comes while the one before is still being sent, or is spoiled and must come again.
        return [...$segments,
            new Segment(SegmentKind::Airtime, 'frame', min($frames), intdiv(array_sum($frames), count($frames)), max($frames)),
            new Segment(SegmentKind::Retries, 'sent again', 0, 0, $periodNs),
        ];
    }
}
