<?php

declare(strict_types=1);

namespace Rundfunk\Cables\Rule;

use Rundfunk\Cables\CableRuns;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Cores;
use Rundfunk\Power\Verdicts;

/** A supply that arrives with too little at the other end. */
#[Finds('cable-loses-volts', WorkStep::PinsAndPower)]
final readonly class CableLosesVolts implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach (CableRuns::in($look)->runs as $run) {
            foreach ($run->cable->uses as $use) {
                $dropV = $run->dropV($use);
                $volts = $run->volts($use);
                if ($use->use !== CoreUse::Plus || $dropV === null || $volts === null || $dropV <= Verdicts::CABLE_SHARE * $volts) {
                    continue;
                }
                $mm2 = Cores::enough($dropV, (float) $run->cable->mm2, Verdicts::CABLE_SHARE * $volts, $run->hottestMa());
                yield Finding::of(
                    $dropV > 2 * Verdicts::CABLE_SHARE * $volts ? Severity::Fault : Severity::Warning,
                    "{$run->cable->name} loses ".Figures::significant($dropV).' of '.Figures::significant($volts).' V',
                    Spot::of($run->cable, $run->cable->name, 'mm2'),
                    Figures::significant($run->peakMa($use)).' mA go there through '.Figures::significant((float) $run->cable->lengthM).' m of '.Figures::significant((float) $run->cable->mm2).' mm² and back through its ground, with all else that comes back there.',
                    'Thicker cores, a second ground, or more volts and a regulator at the far end.',
                    $mm2 === null ? null : Fix::change('Take '.Figures::significant($mm2).' mm²', $run->cable, ['mm2' => $mm2]),
                    numbers: ['drop_v' => round($dropV, 3), 'peak_ma' => $run->peakMa($use)],
                    about: [$run->cable->id, (string) $use->supplyId],
                );
            }
        }
    }
}
