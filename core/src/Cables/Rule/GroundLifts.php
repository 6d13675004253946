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
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Spot;

/** The current of a supply lifts the ground of the signals beside it. */
#[Finds('cable-ground-lifts', WorkStep::PinsAndPower)]
final readonly class GroundLifts implements PlanRule
{
    /** What is left between a low that is given and one that is taken, by boards of 3.3 V: 0.4 V, and half of it for noise. */
    private const MOST_V = 0.2;

    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            $liftV = $run->liftV();
            $data = array_filter($run->cable->uses, static fn (CableCore $one): bool => $one->use === CoreUse::Forward || $one->use === CoreUse::Back);
            if ($liftV === null || $data === [] || $liftV <= self::MOST_V) {
                continue;
            }
            yield Finding::warning(
                'The ground at one end of '.$run->cable->name.' stands '.Figures::significant($liftV).' V above the other',
                Spot::of($run->cable, $run->cable->name, 'mm2'),
                Figures::significant($run->returnMa()).' mA come back through the core that the signals are measured against: a low is no low any more when the relays pull.',
                'A ground of its own for the supply, thicker cores, or RS-485, which does not mind some volts.',
                numbers: ['lift_v' => round($liftV, 3), 'return_ma' => $run->returnMa()],
                about: [$run->cable->id],
            );
        }
    }
}
