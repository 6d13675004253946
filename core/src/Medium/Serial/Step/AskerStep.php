<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Who asks the others: one, and no other. */
final readonly class AskerStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Link;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            $line = SerialLine::of($plan, $link);
            $chosen = $line->settings->topology === Topology::Polled && $line->asker() === null ? self::chosen($plan, $line) : null;
            if ($chosen === null) {
                continue;
            }
            foreach ($line->ends as $end) {
                $is = SerialEnd::of($end)->asks;
                if ($is !== ($end->id === $chosen->id) && ! $end->pins('asks')) {
                    $node = $plan->node($end->nodeId);
                    yield new Proposal(
                        $this->stage(), Spot::of($end, "{$node->name} on {$link->name}", 'asks'), "Who asks on {$link->name}",
                        $is ? "{$node->name} asks" : null, $is ? "{$node->name} is asked" : "{$node->name} asks",
                        'One asks and the others answer: that is how many share a line without speaking at once.',
                        [Operation::change(Endpoint::kind(), $end->id, ['settings' => ['asks' => ! $is]])],
                    );
                }
            }
        }
    }

    /** One that says so already, whoever is pinned first; a gateway; whoever has most to say. */
    public static function chosen(Plan $plan, SerialLine $line): ?Endpoint
    {
        $able = array_values(array_filter($line->ends, static fn (Endpoint $end): bool => ! $plan->node($end->nodeId)->kind->isBought() && (SerialEnd::of($end)->asks || ! $end->pins('asks'))));
        $worth = static fn (Endpoint $end): array => [
            SerialEnd::of($end)->asks && $end->pins('asks') ? 1 : 0,
            SerialEnd::of($end)->asks ? 1 : 0,
            $plan->node($end->nodeId)->kind === NodeKind::Gateway ? 1 : 0,
            count($plan->routes()) === 0 ? 0 : self::told($plan, $end),
        ];
        usort($able, static fn (Endpoint $one, Endpoint $other): int => $worth($other) <=> $worth($one));

        return $able[0] ?? null;
    }

    /** @return int routes that begin at its node */
    private static function told(Plan $plan, Endpoint $end): int
    {
        $count = 0;
        foreach ($plan->controlsOf($plan->node($end->nodeId)) as $control) {
            $count += count($plan->routesFrom($control));
        }

        return $count;
    }
}
