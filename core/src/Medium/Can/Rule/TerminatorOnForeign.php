<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSettings;

/** A resistor that is on at a node of ours on a bus that has both of its own. */
#[Finds('can-terminator-on-foreign', WorkStep::Links)]
final readonly class TerminatorOnForeign implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->link->medium !== Can::KEY || ! CanSettings::of($end->link)->foreign || $end->node->kind->isBought() || ! CanEnd::of($look->plan, $end->endpoint)->terminated) {
            return [];
        }

        return [Finding::fault(
            "{$end->node->name} adds its 120 Ω to {$end->link->name}",
            $end->at('terminated'),
            'That bus runs without it and has both of its resistors: with a third it has 40 Ω in all, and what drives it is overloaded. Most boards that are sold come with the resistor on.',
            'Take the jumper off, or the resistor out, before it joins the bus.',
            Fix::change("{$end->node->name} without its resistor", $end->endpoint, ['settings' => ['terminated' => false]]),
            about: [$end->endpoint->id],
        )];
    }
}
