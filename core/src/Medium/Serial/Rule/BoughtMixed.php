<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A line of bought devices with nobody of ours to tell them, or with several: the devices have no words for that. */
#[Finds('serial-bought-mixed', WorkStep::Links)]
final readonly class BoughtMixed implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $own = array_map(static fn (Endpoint $end): string => $look->plan->node($end->nodeId)->name, $line->own());
        if (! $line->isBought() || count($own) === 1) {
            return [];
        }

        return [Finding::fault(
            $own === [] ? "No board of yours is on {$link->name}" : implode(' and ', $own)." share {$link->name} with what was bought",
            Spot::of($link, $link->name, 'topology'),
            $own === [] ? 'What was bought is told and asked by somebody, and speaks to nobody of its own kind.' : 'One may tell and ask them: what the others say in frames of ours is noise to the devices, and theirs to the boards.',
            $own === [] ? 'Join the board that is to tell them.' : 'Give the boards a line of their own.',
            numbers: ['boards' => count($own), 'bought' => count($line->bought)],
            about: [$link->id],
        )];
    }
}
