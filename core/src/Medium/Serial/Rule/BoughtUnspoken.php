<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** Something bought on a line: it speaks as its makers made it. */
#[Finds('serial-bought-unspoken', WorkStep::Links)]
final readonly class BoughtUnspoken implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $bought = array_values(array_filter(array_map(static fn (Endpoint $end): Node => $look->plan->node($end->nodeId), $look->plan->endpointsOn($link)), static fn (Node $node): bool => $node->kind->isBought()));
        if ($bought === []) {
            return;
        }
        $names = $bought[0]->name.(count($bought) > 1 ? ' and '.Figures::counted(count($bought) - 1, 'other') : '');
        yield Finding::warning(
            "{$names} on {$link->name} ".(count($bought) > 1 ? 'speak' : 'speaks').' as the makers made it',
            Spot::of($link, $link->name, 'topology'),
            'What the headers say over this line is frames of our own, with ids, numbers and a check. A thing from a shop knows its own and none of these: it is asked and never answers.',
            'Give it a line of its own, and in your program what its manual says goes there; or put a board of yours before it.',
            numbers: ['bought' => count($bought)],
            about: [$link->id],
        );
    }
}
