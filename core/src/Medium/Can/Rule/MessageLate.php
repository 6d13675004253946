<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Identifiers;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Something that may come later than it has to. */
#[Finds('can-message-late', WorkStep::Links)]
final readonly class MessageLate implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY) {
            return;
        }
        $bus = CanBus::of($look->plan, $link);
        $responses = $bus->load() > 1 ? null : $bus->responses();
        if ($responses === null) {
            return;
        }
        foreach ($bus->apart() as $one) {
            $worst = $responses->worstNs($one->sent);
            if ($worst !== null && $worst <= $one->sent->deadlineNs) {
                continue;
            }
            $name = $look->plan->node($one->end->nodeId)->name;
            $lower = $one->message === null ? Identifiers::urgent($bus, $one->end) : null;
            yield Finding::fault(
                ucfirst($one->name)." of {$name} can take ".($worst === null ? 'for ever' : Figures::significant($worst / 1_000_000).' ms').', and has '.Figures::significant($one->sent->deadlineNs / 1_000_000),
                $one->message === null ? Spot::of($one->end, "{$name} on {$link->name}", 'identifier') : Spot::of($one->message->of, "{$name} on {$link->name}", 'identifier'),
                'All that is more urgent goes first, again and again, and one that is less so is not broken off. Without errors, and with controllers that send the most urgent of theirs first.',
                'Give it a lower identifier, or send less of what goes before it.',
                $lower === null ? null : Fix::change("{$name} commands under ".CanMessage::hexOf($lower, false), $one->end, ['settings' => ['identifier' => $lower]]),
                numbers: ['response_ms' => $worst === null ? null : round($worst / 1_000_000, 3), 'deadline_ms' => round($one->sent->deadlineNs / 1_000_000, 3)],
                about: [$one->message->of->id ?? $one->end->id],
            );
        }
    }
}
