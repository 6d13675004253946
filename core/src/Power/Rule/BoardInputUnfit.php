<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Refeeding;
use Rundfunk\Power\SupplyTree;

/** A board that is fed with what its input was not made for. */
#[Finds('board-input-unfit', WorkStep::PinsAndPower)]
final readonly class BoardInputUnfit implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $tree = SupplyTree::in($look);
        $board = $tree->board($supply);
        $at = $tree->feedsAt($supply);
        if ($at === null || $board === null) {
            return [];
        }
        $input = $board->input($at);
        $volts = $tree->volts($supply);
        $node = $look->plan->node($supply->nodeId);
        if ($input === null) {
            $better = Refeeding::input($look, $supply);

            return [Finding::fault(
                "{$node->name} has no such input as {$supply->name} is to feed it at",
                At::supply($look, $supply, 'feedsAt'),
                "It is a {$board->name}.",
                'Choose one of its inputs.',
                $better === null ? null : Fix::change("Feed it at its {$better->name}", $supply, ['feedsAt' => $better->at->value]),
            )];
        }
        if (! $tree->isChargedRightly($supply, $input)) {
            $better = Refeeding::input($look, $supply);

            return [Finding::fault(
                "{$node->name} would charge {$supply->name}, which is no lithium cell",
                At::supply($look, $supply, 'feedsAt'),
                "Its {$input->name} are where its charger gives 4.2 V. Other batteries leak, vent or burn on that; a power supply is fed back.",
                'One protected lithium cell there, or another input of the board.',
                $better === null ? null : Fix::change("Feed it at its {$better->name}", $supply, ['feedsAt' => $better->at->value]),
            )];
        }
        if ($volts === null || $volts->isWithin($input->minV, $input->maxV)) {
            return [];
        }
        $better = Refeeding::input($look, $supply);
        $high = $volts->isAbove($input->maxV);

        return [Finding::fault(
            "{$node->name} gets {$volts->wordsAgainst($input->minV, $input->maxV)} at its {$input->name}, which wants ".Figures::significant($input->minV).' to '.Figures::significant($input->maxV),
            At::supply($look, $supply, 'feedsAt'),
            $high ? 'The board, or the regulator on it, does not stand that.' : 'The board starts and stops as it pleases, above all when something sends or switches.',
            'Another supply, a regulator between, or another input of the board.',
            $better === null ? null : Fix::change("Feed it at its {$better->name}", $supply, ['feedsAt' => $better->at->value]),
            numbers: ['least_v' => round($volts->minV, 3), 'most_v' => round($volts->maxV, 3)],
        )];
    }
}
