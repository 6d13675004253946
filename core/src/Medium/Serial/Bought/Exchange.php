<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;

/** One question of a line of bought devices, and its answer. */
final readonly class Exchange
{
    /** @param  int  $answerNs  0 where nothing is answered */
    private function __construct(public Endpoint $end, public ProtocolItem $item, public int $questionNs, public int $answerNs)
    {
    }

    /** @return list<self> every reading that is asked for, once; of a device of which none is, what it is told first */
    public static function round(Plan $plan, SerialLine $line): array
    {
        $round = [];
        foreach ($line->bought as $end) {
            $protocol = $line->protocols[$end->id] ?? null;
            if ($protocol === null) {
                continue;
            }
            $items = [];
            foreach (Tables::readings($plan, $end, $protocol) as $control) {
                $item = $protocol->item($control->terminal ?? '');
                if ($item?->kind === ProtocolItemKind::Answers) {
                    $items[$item->name] = $item;
                }
            }
            $told = array_values(array_filter(array_map(static fn (Hop $hop): ?ProtocolItem => Meant::itemOf($plan->output($plan->route($hop->routeId)->outputId), $protocol), $plan->hopsTo($end))));
            foreach ($told as $item) {
                // What says that a function is done is asked for as well, whoever else reads it.
                $by = $item->watchedBy($protocol);
                if ($by?->kind === ProtocolItemKind::Answers) {
                    $items[$by->name] = $by;
                }
            }
            if ($items === [] && $told !== []) {
                $items[] = $told[0];
            }
            foreach ($items as $item) {
                $round[] = new self($end, $item, ...self::lasts($line, Forms::of($protocol), $item));
            }
        }

        return $round;
    }

    /** @return array{int, int} question and answer, nanoseconds */
    private static function lasts(SerialLine $line, Form $form, ProtocolItem $item): array
    {
        $time = $line->settings->line();

        return [$time->ns($form->mostBytes(Saying::sent($item))), $item->isAnswered() ? $time->ns($form->mostBytes(Saying::answer($item))) : 0];
    }

    /** From its first byte to the next question. */
    public function lastsNs(SerialLine $line): int
    {
        return $this->questionNs + $this->answerNs + (($this->answerNs > 0 ? $line->settings->turnMs : 0) + $line->settings->gapMs) * 1_000_000;
    }
}
