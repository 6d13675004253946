<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Askers;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Endpoint;
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
            $chosen = $line->settings->topology === Topology::Polled && $line->asker() === null ? Askers::best($plan, $line) : null;
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
}
