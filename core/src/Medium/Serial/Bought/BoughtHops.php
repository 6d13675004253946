<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\Timeline;

/** How long it takes until a bought device has what it is told, or until what it reads is known: its bytes as its protocol makes them. */
final readonly class BoughtHops
{
    /** @return list<Span> */
    public static function spans(Plan $plan, SerialLine $line, Hop $hop, int $turn): array
    {
        $to = $line->protocols[$hop->toId] ?? null;
        $times = $line->settings->topology === Topology::Ring ? $line->hopsBetween($hop->fromId, $hop->toId) : 1;
        $route = $plan->route($hop->routeId);
        if ($to !== null) {
            $item = Meant::itemOf($plan->output($route->outputId), $to);

            return self::told($line, $item === null ? [Span::fixed(SpanKind::Airtime, 'frame', $line->questionNs())] : self::frame($line, 'frame', Forms::of($to), Saying::sent($item), $times), $item?->isAnswered() ?? false, $turn);
        }
        $from = $line->protocols[$hop->fromId] ?? null;
        $item = $from?->item($plan->control($route->controlId)->terminal ?? '');
        if ($from === null || $item === null) {
            return [Span::fixed(SpanKind::Airtime, 'frame', $line->answerNs())];
        }

        return self::read($line, $item, Forms::of($from), $times);
    }

    /**
     * @param  list<Span>  $frame
     * @return list<Span>
     */
    private static function told(SerialLine $line, array $frame, bool $answered, int $turn): array
    {
        $before = max($line->exchangeNs(), $line->missedNs());
        $again = $answered ? $line->settings->missedMost - 1 : 0;

        return [
            ...($turn === 0 ? [] : [Span::between(SpanKind::Waiting, $turn === 1 ? 'another device first' : "{$turn} devices first", $turn * (new Timeline($frame))->bestNs(), $turn * $line->exchangeNs(), $turn * $before)]),
            Span::between(SpanKind::Waiting, 'the exchange that runs', 0, intdiv($line->exchangeNs(), 2), $before),
            ...$frame,
            ...($again === 0 ? [] : [Span::again('told again', $again, $line->missedNs())]),
        ];
    }

    /**
     * @param  int  $times  from node to node, on the way to the board; around a ring the question goes the rest
     * @return list<Span>
     */
    private static function read(SerialLine $line, ProtocolItem $item, Form $form, int $times): array
    {
        if ($item->kind !== ProtocolItemKind::Answers) {
            $takesNs = $item->takesMs * 1_000_000;

            return [
                ...($takesNs === 0 ? [] : [Span::between(SpanKind::Waiting, 'until it is done', 0, $takesNs, $takesNs)]),
                ...self::frame($line, 'frame', $form, $item->kind === ProtocolItemKind::Says ? Saying::sent($item) : Saying::answer($item), $times),
            ];
        }
        $everyNs = $item->everyMs * 1_000_000;
        $turnNs = $line->settings->turnMs * 1_000_000;
        $again = $line->settings->missedMost - 1;

        return [
            Span::between(SpanKind::Waiting, 'until it is asked', 0, intdiv($everyNs, 2), $everyNs + max($line->exchangeNs(), $line->missedNs())),
            ...self::frame($line, 'question', $form, Saying::sent($item), $line->settings->topology === Topology::Ring ? count($line->ends) - $times : 1),
            Span::between(SpanKind::Waiting, 'turn', 0, $turnNs, $turnNs),
            ...self::frame($line, 'answer', $form, Saying::answer($item), $times),
            ...($again === 0 ? [] : [Span::again('asked again', $again, $everyNs + $line->missedNs())]),
        ];
    }

    /**
     * Its length hangs on its figures: bytes that are stuffed, digits that are written. Around a ring each on the way takes it whole and
     * hands it on.
     *
     * @return list<Span>
     */
    private static function frame(SerialLine $line, string $label, Form $form, Saying $saying, int $times): array
    {
        [$least, $most] = [$times * $line->settings->line()->ns($form->leastBytes($saying)), $times * $line->settings->line()->ns($form->mostBytes($saying))];
        $label = $times === 1 ? $label : "{$label}, {$times} times";
        $turnsNs = ($times - 1) * $line->settings->turnMs * 1_000_000;

        return [
            $least === $most ? Span::fixed(SpanKind::Airtime, $label, $most) : Span::between(SpanKind::Airtime, $label, $least, $least + intdiv($most - $least, 4), $most),
            ...($times > 1 ? [Span::between(SpanKind::Processing, 'handed on by '.($times - 1), 0, $turnsNs, $turnsNs)] : []),
        ];
    }
}
