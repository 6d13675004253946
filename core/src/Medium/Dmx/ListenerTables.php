<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;

/** What a board of ours must know to obey a universe: which slots are its own, and what each means. */
final readonly class ListenerTables
{
    /** @param  list<ListenedSlot>  $slots */
    private function __construct(public array $slots)
    {
    }

    public static function of(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): self
    {
        $universe = Universe::of($plan, $plan->link($endpoint->linkId));
        $patched = $plan->node($endpoint->nodeId)->kind->isBought() ? null : $universe->at($endpoint);
        $start = $patched?->settings->start;
        if ($patched === null || $start === null) {
            return new self([]);
        }
        $slots = [];
        foreach ($patched->uses as $use) {
            $fixed = [];
            $open = null;
            foreach (array_filter($plan->hopsOver($plan->link($endpoint->linkId)), static fn (Hop $hop): bool => $hop->toId === $endpoint->id) as $hop) {
                $route = $plan->route($hop->routeId);
                $code = $numbers->heard($hop);
                if ($route->outputId !== $use->output?->id || $code === null || ! DmxSayings::canBeTold($plan, $hop)) {
                    continue;
                }
                $level = DmxSayings::level($plan, $route, $use);
                if ($level !== null) {
                    $fixed[$level >> 8] ??= ['code' => $code, 'value' => $route->value ?? 0];
                } else {
                    $open ??= ['code' => $code, 'holds' => $route->action->holds()];
                }
            }
            if ($use->output !== null && ($fixed !== [] || $open !== null)) {
                ksort($fixed);
                $slots[] = new ListenedSlot($use->output->name, $start + $use->slot->at - 2, $fixed, $open, Level::of($use->output));
            }
        }

        return new self($slots);
    }

    public function isEmpty(): bool
    {
        return $this->slots === [];
    }
}
