<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** How far apart an emitter's sends must be. */
final readonly class IntervalStep implements Step
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                $least = $node->kind->isBought() || ! $endpoint->role->sends() ? 0 : IrSends::leastIntervalMs($plan, $endpoint, $this->protocols);
                $now = IrEnd::of($endpoint)->intervalMs;
                if ($least === 0 || ($now !== null && $now >= $least) || $endpoint->pins('intervalMs')) {
                    continue;
                }
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'intervalMs'),
                    "Interval of {$node->name} on {$link->name}",
                    $now === null ? null : "{$now} ms",
                    "{$least} ms",
                    'The longest frame it sends, with the gap that its protocol asks for.',
                    [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['intervalMs' => $least]])],
                );
            }
        }
    }
}
