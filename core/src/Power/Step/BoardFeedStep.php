<?php

declare(strict_types=1);

namespace Rundfunk\Power\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\BoardFeeding;
use Rundfunk\Power\Island;
use Rundfunk\Power\SupplyTree;

/** What a board lives on, while the plan does not say: after the modules, for what hangs on its pins counts. */
final readonly class BoardFeedStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Board;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $tree = new SupplyTree($plan, $knowledge->catalogue);
        foreach ($plan->nodes() as $node) {
            if ($knowledge->catalogue->boardOf($node) === null || $tree->feeder($node) !== null) {
                continue;
            }
            $island = Island::around($plan, $node);
            $choice = $island === null ? null : BoardFeeding::best($island, $knowledge->catalogue, $node);
            if ($island === null || $choice === null) {
                continue;
            }
            $feeder = $choice->supplies[count($choice->supplies) - 1];
            $peak = Figures::significant((new SupplyTree($choice->in($island->plan), $knowledge->catalogue))->load($feeder)->peakMa);
            yield new Proposal(
                $this->stage(),
                Spot::of($node, $node->name, 'supply'),
                "Supply of {$node->name}",
                null,
                $choice->words($knowledge->catalogue).' (buy)',
                "Its board and what hangs on its pins take {$peak} mA at most; this is the least that bears it.",
                $choice->operations(),
            );
        }
    }
}
