<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Figures;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\TimesHops;

/** How long a hop takes. */
final readonly class KeyedHops implements TimesHops
{
    public function spans(Plan $plan, Hop $hop, int $turn): array
    {
        $settings = KeyedSettings::of($plan->link($hop->linkId));
        $frameNs = $settings->frameNs();

        // A receiver believes what it has heard twice; at worst the last two of the press are the first that arrive.
        return [
            ...($turn > 0 ? [Span::fixed(SpanKind::Waiting, Figures::counted($turn, 'press').' first', $turn * $settings->pressNs())] : []),
            Span::fixed(SpanKind::Airtime, 'two frames', 2 * $frameNs),
            Span::again('sent again', max(0, $settings->repeats - 2), $frameNs),
        ];
    }
}
