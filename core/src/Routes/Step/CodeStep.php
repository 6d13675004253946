<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\Codes;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\HeardTogether;
use Rundfunk\Routes\RouteNames;

/** The command code of each hop: its own on the whole link while they last, so that a stray message can do no harm. */
final readonly class CodeStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Code;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->links() as $link) {
            $medium = $knowledge->media->offering(HandsOutCodes::class, $link->medium);
            if ($medium === null) {
                continue;
            }
            $hops = $plan->hopsOver($link);
            $onLink = Codes::used($hops);
            $atEnd = [];
            $given = [];
            $keepers = self::keepers($plan, $medium, $hops);
            foreach (self::inRouteOrder($plan, $hops) as $hop) {
                if ($hop->pinned || isset($keepers[$hop->id])) {
                    continue;
                }
                $range = $medium->codes($plan, $hop);
                if ($range === null) {
                    continue;
                }
                $shared = self::sharedBy($plan, $hop, $knowledge->media->offering(HeardTogether::class, $link->medium), $given);
                $code = $shared ?? $range->lowestFree($onLink);
                $reason = $shared !== null ? 'One press is one message to all that hear it.' : "The lowest code that nothing on {$link->name} uses.";
                $atEnd[$range->endpointId] ??= Codes::used(Codes::alongside($plan, $hop, $range));
                if ($code === null) {
                    $code = $range->lowestFree($atEnd[$range->endpointId]);
                    $end = $plan->node($plan->endpoint($range->endpointId)->nodeId)->name;
                    $reason = "All codes of {$link->name} are taken; this is the lowest that {$end} does not use.";
                }
                if ($code === null) {
                    continue;
                }
                $onLink[$code] = true;
                $given[$hop->id] = $code;
                $atEnd[$range->endpointId][$code] = true;
                $name = RouteNames::of($plan, $plan->route($hop->routeId));
                yield new Proposal(
                    $this->stage(),
                    Spot::of($hop, "{$name} over {$link->name}", 'code'),
                    "Code of {$name} over {$link->name}",
                    $hop->code === null ? null : sprintf('0x%02X', $hop->code),
                    sprintf('0x%02X', $code),
                    $hop->code === null ? $reason : 'Another command has this code. '.$reason,
                    [Operation::change(ThingKind::Hop, $hop->id, ['code' => $code])],
                );
            }
        }
    }

    /**
     * The code of a hop to another receiver that hears the same message, and does the same at the same press.
     *
     * @param  array<string, int>  $given  by hop, in this round
     */
    private static function sharedBy(Plan $plan, Hop $hop, ?HeardTogether $together, array $given): ?int
    {
        $hearers = $together === null || $hop->code !== null ? [] : $together->hearers($plan, $plan->endpoint($hop->toId));
        $route = $plan->route($hop->routeId);
        foreach (count($hearers) > 1 ? $plan->routesFrom($plan->control($route->controlId)) : [] as $other) {
            foreach ($other->action === $route->action && $other->pulseMs === $route->pulseMs && $other->value === $route->value ? $plan->hopsOf($other) : [] as $one) {
                $alike = $one->id !== $hop->id && $one->fromId === $hop->fromId && $one->toId !== $hop->toId && in_array($one->toId, array_column($hearers, 'id'), true);
                if ($alike && ($given[$one->id] ?? $one->code) !== null) {
                    return $given[$one->id] ?? $one->code;
                }
            }
        }

        return null;
    }

    /**
     * @param  list<Hop>  $hops
     * @return array<string, true> ids of hops whose code can stay: the pinned one, or the first, of each code at each end that must tell them apart
     */
    private static function keepers(Plan $plan, HandsOutCodes $medium, array $hops): array
    {
        usort($hops, static fn (Hop $a, Hop $b): int => [$b->pinned, $a->id] <=> [$a->pinned, $b->id]);
        $keepers = [];
        $seen = [];
        foreach ($hops as $hop) {
            $end = $medium->codes($plan, $hop)?->endpointId;
            if ($hop->code !== null && ! isset($seen[$end][$hop->code])) {
                $seen[$end][$hop->code] = true;
                $keepers[$hop->id] = true;
            }
        }

        return $keepers;
    }

    /**
     * @param  list<Hop>  $hops
     * @return list<Hop> as a person would number them: node by node, control by control
     */
    private static function inRouteOrder(Plan $plan, array $hops): array
    {
        $place = [];
        foreach ($hops as $hop) {
            $route = $plan->route($hop->routeId);
            $control = $plan->control($route->controlId);
            $node = $plan->node($control->nodeId);
            $place[$hop->id] = [$node->order, $node->id, $control->order, $control->id, $route->order, $route->id, $hop->order];
        }
        usort($hops, static fn (Hop $a, Hop $b): int => $place[$a->id] <=> $place[$b->id]);

        return $hops;
    }
}
