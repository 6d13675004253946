<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes: the bridge's words where there is one, until the next packet begins, and the packet up to the slot. */
final readonly class DmxHops implements TimesHops
{
    /** From board to board through a household's network, wired or not. Common practice. */
    private const NETWORK_NS = [300_000, 2_000_000, 30_000_000];

    /** Start, eight bits, stop. */
    private const BITS_PER_LETTER = 10;

    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        $link = $plan->link($hop->linkId);
        $universe = Universe::of($plan, $link);
        $end = DmxEnd::of($plan->endpoint($hop->fromId));
        $spans = [];
        $textNs = $end->bridges && ! $universe->settings->isNetwork ? self::textNs($end, $universe->slotsSent()) : 0;
        if ($textNs > 0) {
            if ($turn > 0) {
                $spans[] = Span::fixed(SpanKind::Waiting, $turn === 1 ? 'another slot first' : "{$turn} slots first", $turn * $textNs);
            }
            $spans[] = Span::fixed(SpanKind::Airtime, 'words to the bridge', $textNs);
        }
        $periodNs = $universe->periodUs() * 1_000;
        $spans[] = Span::between(SpanKind::Waiting, 'next packet', 0, intdiv($periodNs, 2), $periodNs);
        if ($universe->settings->isNetwork) {
            $spans[] = Span::between(SpanKind::Airtime, 'network', ...self::NETWORK_NS);
        } else {
            $use = $universe->slotOf($hop);
            $slot = ($universe->at($plan->endpoint($hop->toId))->settings->start ?? 1) + max($use->slot->at ?? 1, $use->slot->fineAt ?? 1) - 1;
            $spans[] = Span::fixed(SpanKind::Airtime, 'packet up to the slot', $universe->frame()->untilUs(min($slot, DmxFrame::MOST_SLOTS)) * 1_000);
        }

        return $spans;
    }

    /** @return int how long the words for one slot take on the line to the bridge */
    public static function textNs(DmxEnd $end, int $slots): int
    {
        try {
            $letters = BridgeForm::from($end->template)->longest($slots);
        } catch (BridgeFormRefused) {
            return 0;
        }

        return intdiv($letters * self::BITS_PER_LETTER * 1_000_000_000, $end->baud);
    }
}
