<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\AsksForReadings;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes: until it is sent where it comes by itself, until the bus is free of all that is more urgent, and its own bits. */
final readonly class CanHops implements AsksForReadings, TimesHops
{
    /** What a bought device says comes when it does; nobody's program waits for it besides. */
    public function asksFor(Plan $plan, Hop $hop): bool
    {
        return $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought();
    }

    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        $bus = CanBus::of($plan, $plan->link($hop->linkId));
        $from = $plan->endpoint($hop->fromId);
        $message = self::messageOf($plan, $bus, $hop, $from);
        $extended = $message->of->extended ?? false;
        $bytes = $message->of->bytes ?? OwnFrame::BYTES;
        $frameNs = $bus->settings->ns(CanFrame::worstBits($extended, $bytes));
        $spans = [];
        if ($message !== null && $bus->isBought($from) && $message->of->periodMs > 0) {
            $everyNs = $message->of->periodMs * 1_000_000;
            $spans[] = Span::between(SpanKind::Waiting, 'until it is sent', 0, intdiv($everyNs, 2), $everyNs);
        }
        if ($turn > 0) {
            $spans[] = Span::fixed(SpanKind::Waiting, $turn === 1 ? 'another node first' : "{$turn} nodes first", $turn * $frameNs);
        }
        $waitNs = max(0, (self::worstNs($bus, $from, $message) ?? 0) - $frameNs);
        $spans[] = Span::between(SpanKind::Waiting, 'frames of others', 0, min($waitNs, (int) ($bus->load() * $frameNs)), $waitNs);
        $shortestNs = $bus->settings->ns(CanFrame::unstuffedBits($extended, $bytes));
        $spans[] = Span::between(SpanKind::Airtime, 'frame', $shortestNs, intdiv($shortestNs + $frameNs, 2), $frameNs);

        return $spans;
    }

    private static function messageOf(Plan $plan, CanBus $bus, Hop $hop, Endpoint $from): ?CanMessage
    {
        $route = $plan->route($hop->routeId);
        $name = $bus->isBought($from) ? $plan->control($route->controlId)->terminal : (CanSayings::isOurs($plan, $hop) ? null : $plan->output($route->outputId)->channel);

        return $bus->end($from)->signal($name)[0] ?? null;
    }

    private static function worstNs(CanBus $bus, Endpoint $from, ?CanMessage $message): ?int
    {
        $responses = $bus->responses();
        foreach ($bus->apart() as $one) {
            if ($one->end->id === $from->id && $one->message?->of->identifier === $message?->of->identifier) {
                return $responses?->worstNs($one->sent);
            }
        }

        return null;
    }
}
