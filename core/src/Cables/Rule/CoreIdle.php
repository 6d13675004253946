<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRuns;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\Spot;

/** A core that is set for something that is no more. */
#[Finds('cable-core-idle', WorkStep::PinsAndPower)]
final readonly class CoreIdle implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            $idle = $run->idle();
            if ($idle === []) {
                continue;
            }
            $cores = implode(', ', array_map(static fn (CableCore $one): string => (string) $one->core, $idle));
            yield Finding::advice(
                'Core'.(count($idle) === 1 ? '' : 's')." {$cores} of {$run->cable->name} ".(count($idle) === 1 ? 'is' : 'are').' set for what does not go through it',
                Spot::of($run->cable, $run->cable->name, 'uses'),
                'Nothing between its two nodes wants that.',
                'Free it: a core is soon needed.',
                Fix::change('Free '.(count($idle) === 1 ? 'it' : 'them'), $run->cable, ['uses' => array_values(array_map(static fn (CableCore $one): array => $one->values(), array_filter($run->cable->uses, static fn (CableCore $one): bool => ! in_array($one, $idle, true))))]),
                numbers: ['cores' => count($idle)],
                about: [$run->cable->id],
            );
        }
    }
}
