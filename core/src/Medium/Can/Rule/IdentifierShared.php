<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Identifiers;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two that send under one identifier. */
#[Finds('can-identifier-shared', WorkStep::Links)]
final readonly class IdentifierShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY) {
            return;
        }
        $bus = CanBus::of($look->plan, $link);
        $first = [];
        foreach ($bus->traffic() as $one) {
            $rank = $one->sent->rank();
            $other = $first[$rank] ?? null;
            $first[$rank] ??= $one;
            if ($other === null) {
                continue;
            }
            // A command of ours gives way to what a maker has fixed.
            $ours = $one->message === null ? $one : ($other->message === null ? $other : null);
            $free = $ours === null ? null : Identifiers::free($bus, $ours->end);
            $hex = CanMessage::hexOf($one->sent->id, $one->sent->extended);
            $names = $look->plan->node($other->end->nodeId)->name === $look->plan->node($one->end->nodeId)->name ? "{$look->plan->node($one->end->nodeId)->name} twice" : "{$look->plan->node($other->end->nodeId)->name} and {$look->plan->node($one->end->nodeId)->name}";
            yield Finding::fault(
                "{$hex} is sent by {$names}: {$other->name} and {$one->name}",
                $one->message === null ? Spot::of($one->end, "{$look->plan->node($one->end->nodeId)->name} on {$link->name}", 'identifier') : Spot::of($one->message->of, "{$look->plan->node($one->end->nodeId)->name} on {$link->name}", 'identifier'),
                'Two that begin at once with one identifier go on to differ in their data: both are marked as harmed, again and again, until one leaves the bus. And who sends the same periodically outvotes what is slipped in between.',
                'Let exactly one send each identifier.',
                $ours === null || $free === null ? null : Fix::change("{$look->plan->node($ours->end->nodeId)->name} commands under ".CanMessage::hexOf($free, false), $ours->end, ['settings' => ['identifier' => $free], 'pinned' => array_values(array_diff($ours->end->pinned, ['identifier']))]),
                numbers: ['identifier' => $hex],
                about: [$other->message->of->id ?? $other->end->id, $one->message->of->id ?? $one->end->id],
            );
        }
    }
}
