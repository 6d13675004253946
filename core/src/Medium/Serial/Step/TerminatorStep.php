<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\Termination;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** On a twisted pair: 120 Ω at its two ends and nowhere between, and one place that holds it quiet. */
final readonly class TerminatorStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            foreach (Termination::wrong($plan, $link) as [$end, $setting, $wanted]) {
                if ($end->pins($setting)) {
                    continue;
                }
                $node = $plan->node($end->nodeId);
                $what = $setting === 'terminated' ? '120 Ω' : 'bias';
                yield new Proposal(
                    $this->stage(), Spot::of($end, "{$node->name} on {$link->name}", $setting), ucfirst($what)." of {$node->name} on {$link->name}",
                    $wanted ? null : 'on', $wanted ? 'on' : 'off',
                    $setting === 'terminated' ? 'At the two ends of the cable and nowhere between: elsewhere the wave is reflected, or the drivers are overloaded.' : 'One place holds the wires apart while nobody drives them.',
                    [Operation::change(Endpoint::kind(), $end->id, ['settings' => [$setting => $wanted]])],
                );
            }
        }
    }
}
