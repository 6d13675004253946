<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Assign\Codes;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\HandsOutCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two different commands with one code at one receiver. */
final readonly class CodeShared implements LooksNearby
{
    public function key(): string
    {
        return 'code-shared';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->endpoints() as $endpoint) {
            $medium = $knowledge->media->named($plan->link($endpoint->linkId)->medium);
            if (! $medium instanceof HandsOutCodes) {
                continue;
            }
            $first = [];
            foreach ($plan->hopsTo($endpoint) as $hop) {
                if ($hop->code === null) {
                    continue;
                }
                $other = $first[$hop->code] ?? null;
                $first[$hop->code] ??= $hop;
                if ($other === null || self::command($plan, $other) === self::command($plan, $hop)) {
                    continue;
                }
                $node = $plan->node($endpoint->nodeId);
                $code = sprintf('0x%02X', $hop->code);
                $range = $medium->codes($plan, $hop);
                $free = $range === null ? null : Codes::free($plan, $endpoint, $range);
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "Two commands to {$node->name} have the code {$code}",
                    Subject::of($hop, "{$node->name}: ".RouteNames::of($plan, $plan->route($hop->routeId)), 'code'),
                    ['code' => $hop->code],
                    "{$node->name} cannot tell ".RouteNames::of($plan, $plan->route($other->routeId)).' from '.RouteNames::of($plan, $plan->route($hop->routeId)).'.',
                    'Give each its own.',
                    $free === null ? null : new Fix(sprintf('Use 0x%02X for the second', $free), Operation::change(ThingKind::Hop, $hop->id, ['code' => $free, 'pinned' => false])),
                    [$hop->id, $other->id],
                );
            }
        }
    }

    /** What the receiver is to do: two controls may share a code when they mean the same. */
    private static function command(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);

        return "{$route->outputId} {$route->action->value} {$route->pulseMs} {$route->value}";
    }
}
