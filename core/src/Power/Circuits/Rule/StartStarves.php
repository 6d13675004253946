<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\SupplyRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\At;
use Rundfunk\Power\Start;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Verdicts;

/**
 * A motor or a filament that a supply bears while it runs, and not while it starts: the supply limits its current or switches itself off, and whatever
 * else lives on it goes down.
 */
#[Finds('start-starves', WorkStep::PinsAndPower)]
final readonly class StartStarves implements SupplyRule
{
    public function check(Supply $supply, Look $look): iterable
    {
        $verdicts = Verdicts::in($look);
        $limitMa = $verdicts->tree->limitMa($supply);
        $start = Start::worst($verdicts->tree, $supply);
        if ($start === null || $limitMa === null || ! $verdicts->starvesAtStart($supply)) {
            return [];
        }
        $name = $start->load->name;
        $board = self::boardOn($supply, $look, $verdicts->tree);
        $detail = 'Standing still it takes up to '.Figures::significant($start->load->sort->inrush()).' times what its plate says: with all else '.Figures::significant($start->milliamperes / 1000).' A from a supply good for '.Figures::significant($limitMa / 1000).' A, which gives no more or switches itself off.';
        $remedy = 'A supply good for its start, a limiter of inrush at it, or a slow start; and a supply of their own for boards.';
        $numbers = ['start_ma' => round($start->milliamperes, 1), 'limit_ma' => $limitMa];

        return [$board === null
            ? Finding::warning("{$name} may not start on {$supply->name}", At::supply($look, $supply), $detail, $remedy, numbers: $numbers, about: [$supply->id])
            : Finding::fault("{$board} goes down when {$name} starts", At::supply($look, $supply), "{$detail} {$board} lives on it too.", $remedy, numbers: $numbers, about: [$supply->id])];
    }

    /** A node whose board lives on it, at however many removes. */
    private static function boardOn(Supply $supply, Look $look, SupplyTree $tree): ?string
    {
        foreach ($tree->withAllBelow($supply) as $one) {
            if ($tree->feedsAt($one) !== null) {
                return $look->plan->node($one->nodeId)->name;
            }
        }

        return null;
    }
}
