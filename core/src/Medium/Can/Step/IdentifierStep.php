<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanMessage;
use Rundfunk\Medium\Can\Identifiers;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Identifiers of the boards that may speak, the most urgent first. */
final readonly class IdentifierStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Can::KEY) as $link) {
            yield from $this->onBus($plan, $link);
        }
    }

    /** @return iterable<Proposal> */
    private function onBus(Plan $plan, Link $link): iterable
    {
        $bus = CanBus::of($plan, $link);
        $asking = array_values(array_filter($bus->ends, static fn (Endpoint $end): bool => ! $bus->settings->foreign && ! $bus->isBought($end) && ! $bus->end($end)->listenOnly && $end->role->sends()));
        usort($asking, static fn (Endpoint $one, Endpoint $other): int => $bus->deadlineMs($one) <=> $bus->deadlineMs($other));
        foreach ($asking as $end) {
            $bus = CanBus::of($plan, $link);
            $now = $bus->end($end)->identifier;
            if ($end->pins('identifier') || ($now !== null && ! $this->isShared($bus, $end, $now))) {
                continue;
            }
            $id = Identifiers::free($bus, $end);
            if ($id === null) {
                continue;
            }
            $node = $plan->node($end->nodeId);
            $operation = Operation::change(Endpoint::kind(), $end->id, ['settings' => ['identifier' => $id]]);
            // The next must know of it.
            $draft = $plan->draft();
            $draft->change($end, ['settings' => [...$end->settings, 'identifier' => $id]]);
            $plan = $draft->plan();
            yield new Proposal(
                $this->stage(), Spot::of($end, "{$node->name} on {$link->name}", 'identifier'), "Identifier of {$node->name} on {$link->name}",
                $now === null ? null : CanMessage::hexOf($now, false), CanMessage::hexOf($id, false),
                "What it says has to be there within {$bus->deadlineMs($end)} ms; the lower, the more urgent, and exactly one sends each.",
                [$operation],
            );
        }
    }

    /** What a maker has fixed stays, and of two of ours the first. */
    private function isShared(CanBus $bus, Endpoint $end, int $id): bool
    {
        $before = true;
        foreach ($bus->ends as $other) {
            $before = $before && $other->id !== $end->id;
            $settings = $bus->end($other);
            if ($before && $settings->identifier === $id && ! $bus->isBought($other)) {
                return true;
            }
            foreach ($settings->messages as $message) {
                if ($message->of->identifier === $id && ! $message->of->extended) {
                    return true;
                }
            }
        }

        return false;
    }
}
