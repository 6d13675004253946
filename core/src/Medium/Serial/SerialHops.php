<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Medium\Serial\Bought\BoughtHops;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\AsksForReadings;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes: until it is asked for, on the line, and what is lost on the way. */
final readonly class SerialHops implements AsksForReadings, TimesHops
{
    public function asksFor(Plan $plan, Hop $hop): bool
    {
        $line = SerialLine::of($plan, $plan->link($hop->linkId));

        return $line->isBought() && isset($line->protocols[$hop->fromId]);
    }

    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        $line = SerialLine::of($plan, $plan->link($hop->linkId));
        if ($line->isBought()) {
            return BoughtHops::spans($plan, $line, $hop, $turn);
        }

        return match ($line->settings->topology) {
            Topology::Polled => self::polled($line, $hop, $turn),
            Topology::Ring => self::ring($line, $hop, $turn),
            Topology::Pair => self::pair($line, $turn),
        };
    }

    /** @return list<Span> */
    private static function polled(SerialLine $line, Hop $hop, int $turn): array
    {
        $asker = $line->asker();
        $exchangeNs = $line->exchangeNs();
        $frameNs = $line->settings->frameNs();
        $spans = [];
        if ($asker === null || $hop->fromId === $asker->id) {
            $spans = self::turns($turn, $exchangeNs, $line->missedNs());
            $spans[] = Span::between(SpanKind::Waiting, 'the exchange that runs', 0, intdiv($exchangeNs, 2), max($exchangeNs, $line->missedNs()));
        } else {
            $cycleNs = $line->cycleNs();
            // At best the question ends just then.
            $spans[] = Span::between(SpanKind::Waiting, 'until it has been asked', 0, intdiv($cycleNs, 2), $cycleNs);
            $turnNs = $line->settings->turnMs * 1_000_000;
            $spans[] = Span::between(SpanKind::Waiting, 'turn', 0, $turnNs, $turnNs);
            if ($hop->toId !== $asker->id) {
                $spans[] = Span::fixed(SpanKind::Airtime, 'answer', $frameNs);
                $spans[] = Span::between(SpanKind::Waiting, 'rest, and the exchange that runs', $line->settings->gapMs * 1_000_000, $line->settings->gapMs * 1_000_000, $exchangeNs);
            }
        }
        $spans[] = Span::fixed(SpanKind::Airtime, 'frame', $frameNs);

        return [...$spans, ...self::retries($line, $line->missedNs())];
    }

    /** @return list<Span> */
    private static function ring(SerialLine $line, Hop $hop, int $turn): array
    {
        $frameNs = $line->settings->frameNs();
        $turnNs = $line->settings->turnMs * 1_000_000;
        $hops = $line->hopsBetween($hop->fromId, $hop->toId);

        return [
            ...self::turns($turn, $line->roundNs(), $line->missedNs()),
            Span::between(SpanKind::Waiting, 'frames of others', 0, 0, max(0, count($line->ends) - 1) * $frameNs),
            Span::fixed(SpanKind::Airtime, $hops === 1 ? 'frame' : "frame, {$hops} times", $hops * $frameNs),
            ...($hops > 1 ? [Span::between(SpanKind::Processing, 'handed on by '.($hops - 1), 0, ($hops - 1) * $turnNs, ($hops - 1) * $turnNs)] : []),
            ...self::retries($line, $line->missedNs()),
        ];
    }

    /** @return list<Span> */
    private static function pair(SerialLine $line, int $turn): array
    {
        $frameNs = $line->settings->frameNs();

        return [
            ...self::turns($turn, $line->exchangeNs(), $line->missedNs()),
            Span::between(SpanKind::Waiting, 'the answer that goes the same way', 0, 0, $frameNs),
            Span::fixed(SpanKind::Airtime, 'frame', $frameNs),
            ...self::retries($line, $line->missedNs()),
        ];
    }

    /** @return list<Span> */
    private static function turns(int $turn, int $bestNs, int $worstNs): array
    {
        return $turn === 0 ? [] : [Span::between(SpanKind::Waiting, $turn === 1 ? 'another node first' : "{$turn} nodes first", $turn * $bestNs, $turn * $bestNs, $turn * max($bestNs, $worstNs))];
    }

    /** @return list<Span> */
    private static function retries(SerialLine $line, int $onceNs): array
    {
        $again = $line->settings->missedMost - 1;

        return $again === 0 ? [] : [Span::again('asked again', $again, $onceNs)];
    }
}
