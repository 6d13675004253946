<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRuns;
use Rundfunk\Cables\RunsInCables;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** Neighbours on a line of wires with no cable between them. */
#[Finds('cable-unlaid', WorkStep::PinsAndPower)]
final readonly class StretchUnlaid implements PlanRule
{
    public function check(Look $look): iterable
    {
        if ($look->plan->of(Cable::class) === []) {
            return;
        }
        foreach ($look->plan->links() as $link) {
            $stretches = $look->media->offering(RunsInCables::class, $link->medium)?->stretches($look->plan, $link) ?? [];
            $bare = array_values(array_filter($stretches, static fn (array $pair): bool => ! CableRuns::in($look)->lies(...$pair)));
            if ($bare === []) {
                continue;
            }
            [$from, $to] = [$look->plan->node($bare[0][0])->name, $look->plan->node($bare[0][1])->name];
            yield Finding::advice(
                "No cable lies between {$from} and {$to}".(count($bare) > 1 ? ', nor along '.(count($bare) - 1)." more of {$link->name}" : ''),
                Spot::of($link, $link->name),
                "They are neighbours on {$link->name}; what its cores are for is on no sheet.",
                'Lay one: then its cores are counted, and both sheets say what goes where.',
                new Fix(count($bare) > 1 ? 'Lay '.count($bare).' of four cores' : 'Lay one of four cores', ...array_map(
                    static fn (array $pair): Operation => Operation::add(new Cable($look->plan->newId('cable', $link->id, ...$pair), $pair[0], $pair[1], mb_substr("{$look->plan->node($pair[0])->name} – {$look->plan->node($pair[1])->name}", 0, 80))),
                    $bare,
                )),
                numbers: ['stretches' => count($bare)],
                about: [$link->id],
            );
        }
    }
}
