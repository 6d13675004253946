<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Demands;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\OnPin;
use Rundfunk\View\Shown\PinRow;
use Rundfunk\View\Shown\PinTable;
use Rundfunk\View\Shown\Unwired;

/** Every pin of a node's board, and what is on it. */
final readonly class PinTableView implements View
{
    public function key(): string
    {
        return 'pin-table';
    }

    public function owner(): string
    {
        return Node::class;
    }

    public function shape(): string
    {
        return PinTable::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?PinTable
    {
        $node = $plan->node($of);
        $board = $knowledge->catalogue->boardOf($node);
        if ($board === null) {
            return null;
        }
        $uses = [];
        foreach ($plan->modulesOf($node) as $module) {
            foreach ($plan->pinUsesOf($module) as $use) {
                $uses[$use->pin][] = new OnPin($use->id, $module->id, $use->terminal, "{$module->name} {$use->terminal}", $use->pinned);
            }
        }

        return new PinTable(
            array_map(static fn (BoardPin $pin): PinRow => new PinRow(
                $pin->name,
                $pin->header,
                array_values(array_diff($pin->can, ['digital-in', 'digital-out'])),
                ! $pin->can('digital-out'),
                $pin->console,
                $pin->strap,
                $pin->led,
                $pin->note,
                $uses[$pin->name] ?? [],
            ), array_values($board->pins)),
            array_map(static fn (array $want): Unwired => new Unwired($want['module']->id, $want['terminal']->name, "{$want['module']->name} {$want['terminal']->name}"), Demands::of($plan, $node, $knowledge->catalogue)->unmet()),
        );
    }
}
