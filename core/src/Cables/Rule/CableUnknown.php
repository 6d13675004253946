<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRuns;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Spot;

/** A supply through a cable of which nobody said how long or thick it is. */
#[Finds('cable-unknown', WorkStep::PinsAndPower)]
final readonly class CableUnknown implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            if ($run->coreOhm() === null && $run->returnMa() > 0.0) {
                yield Finding::advice(
                    "Nobody said how long or thick {$run->cable->name} is",
                    Spot::of($run->cable, $run->cable->name, $run->cable->lengthM === null ? 'lengthM' : 'mm2'),
                    Figures::significant($run->returnMa()).' mA go through it: what they lose on the way cannot be said.',
                    'Its length as it is laid, and the copper of one core: 0.14 mm² is common in thin data cable.',
                    numbers: ['peak_ma' => $run->returnMa()],
                    about: [$run->cable->id],
                );
            }
        }
    }
}
