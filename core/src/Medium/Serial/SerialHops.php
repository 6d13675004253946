<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Segment;
use Rundfunk\Timing\SegmentKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes: until it is asked for, on the line, and what is lost on the way. */
final readonly class SerialHops implements TimesHops
{
    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        $line = SerialLine::of($plan, $plan->link($hop->linkId));

        return match ($line->settings->topology) {
            Topology::Polled => self::polled($line, $hop, $turn),
            Topology::Ring => self::ring($line, $hop, $turn),
            Topology::Pair => self::pair($line, $turn),
        };
    }

    /** @return list<Segment> */
    private static function polled(SerialLine $line, Hop $hop, int $turn): array
    {
        $asker = $line->asker();
        $exchangeNs = $line->exchangeNs();
        $frameNs = $line->settings->frameNs();
        $segments = [];
        if ($asker === null || $hop->fromId === $asker->id) {
            $segments = self::turns($turn, $exchangeNs, $line->missedNs());
            $segments[] = new Segment(SegmentKind::Waiting, 'the exchange that runs', 0, intdiv($exchangeNs, 2), max($exchangeNs, $line->missedNs()));
        } else {
            $cycleNs = $line->cycleNs();
            // At best the question ends just then.
            $segments[] = new Segment(SegmentKind::Waiting, 'until it has been asked', 0, intdiv($cycleNs, 2), $cycleNs);
            $turnNs = $line->settings->turnMs * 1_000_000;
            $segments[] = new Segment(SegmentKind::Waiting, 'turn', 0, $turnNs, $turnNs);
            if ($hop->toId !== $asker->id) {
                $segments[] = new Segment(SegmentKind::Airtime, 'answer', $frameNs, $frameNs, $frameNs);
                $segments[] = new Segment(SegmentKind::Waiting, 'rest, and the exchange that runs', $line->settings->gapMs * 1_000_000, $line->settings->gapMs * 1_000_000, $exchangeNs);
            }
        }
        $segments[] = new Segment(SegmentKind::Airtime, 'frame', $frameNs, $frameNs, $frameNs);

        return [...$segments, ...self::retries($line, $line->missedNs())];
    }

    /** @return list<Segment> */
    private static function ring(SerialLine $line, Hop $hop, int $turn): array
    {
        $frameNs = $line->settings->frameNs();
        $turnNs = $line->settings->turnMs * 1_000_000;
        $hops = $line->hopsBetween($hop->fromId, $hop->toId);

        return [
            ...self::turns($turn, $line->roundNs(), $line->missedNs()),
            new Segment(SegmentKind::Waiting, 'frames of others', 0, 0, max(0, count($line->ends) - 1) * $frameNs),
            new Segment(SegmentKind::Airtime, $hops === 1 ? 'frame' : "frame, {$hops} times", $hops * $frameNs, $hops * $frameNs, $hops * $frameNs),
            ...($hops > 1 ? [new Segment(SegmentKind::Processing, 'handed on by '.($hops - 1), 0, ($hops - 1) * $turnNs, ($hops - 1) * $turnNs)] : []),
            ...self::retries($line, $line->missedNs()),
        ];
    }

    /** @return list<Segment> */
    private static function pair(SerialLine $line, int $turn): array
    {
        $frameNs = $line->settings->frameNs();

        return [
            ...self::turns($turn, $line->exchangeNs(), $line->missedNs()),
            new Segment(SegmentKind::Waiting, 'the answer that goes the same way', 0, 0, $frameNs),
            new Segment(SegmentKind::Airtime, 'frame', $frameNs, $frameNs, $frameNs),
            ...self::retries($line, $line->missedNs()),
        ];
    }

    /** @return list<Segment> */
    private static function turns(int $turn, int $bestNs, int $worstNs): array
    {
        return $turn === 0 ? [] : [new Segment(SegmentKind::Waiting, $turn === 1 ? 'another node first' : "{$turn} nodes first", $turn * $bestNs, $turn * $bestNs, $turn * max($bestNs, $worstNs))];
    }

    /** @return list<Segment> */
    private static function retries(SerialLine $line, int $onceNs): array
    {
        $again = $line->settings->missedMost - 1;

        return $again === 0 ? [] : [new Segment(SegmentKind::Retries, 'asked again', 0, 0, $again * $onceNs)];
    }
}
