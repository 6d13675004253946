<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Start addresses. */
final readonly class AddressStep implements Step
{
    /** After the ways, for a board of ours takes as many slots as it is told things. */
    public function stage(): Stage
    {
        return Stage::Address;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Dmx::KEY) as $link) {
            $universe = Universe::of($plan, $link);
            $changed = Patch::of($universe);
            foreach ($universe->patched as $one) {
                $start = $changed[$one->end->id] ?? null;
                if ($start === null) {
                    continue;
                }
                yield new Proposal(
                    $this->stage(), Spot::of($one->end, "{$one->node->name} on {$link->name}", 'start'), "Start address of {$one->node->name} on {$link->name}",
                    $one->settings->start === null ? null : (string) $one->settings->start, (string) $start,
                    $one->footprint === 1 ? 'One slot that nobody else takes.' : "{$one->footprint} slots in a row that nobody else takes; the lower the last, the more often all are told.",
                    [Operation::change(Endpoint::kind(), $one->end->id, ['settings' => ['start' => $start]])],
                );
            }
        }
    }
}
