<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\ShowsPages;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A button of a web page, on a board that is on no network. */
#[Finds('page-missing', WorkStep::Nodes)]
final readonly class PageMissing implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        if ($control->kind !== ControlKind::Widget || $node->kind->isBought()) {
            return [];
        }
        foreach ($look->plan->endpointsOf($node) as $endpoint) {
            if ($look->media->offering(ShowsPages::class, $look->plan->link($endpoint->linkId)->medium) !== null) {
                return [];
            }
        }

        return [Finding::fault(
            "Nobody can open the page of {$control->name}",
            Spot::of($control, "{$node->name}, {$control->name}"),
            "It is on a web page of {$node->name}, and {$node->name} is on no network: there is no address to type.",
            'Put the node on a network of the house, or let it make one of its own; or take a button.',
        )];
    }
}
