<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Termination;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** The resistors at the ends of a twisted pair. */
#[Finds('serial-terminators', WorkStep::Links)]
final readonly class TerminatorsWrong implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $wrong = array_values(array_filter(Termination::wrong($look->plan, $link), static fn (array $one): bool => $one[1] === 'terminated'));
        if ($wrong === []) {
            return [];
        }
        $ends = $look->plan->endpointsOn($link);
        $on = count(array_filter($ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->terminated));
        $missing = array_values(array_filter($wrong, static fn (array $one): bool => $one[2]));
        $settings = SerialSettings::of($link);
        // A short or slow line rings out before the bit is looked at.
        $matters = $on > 2 || $missing === [] || $settings->lengthM === null || $settings->lengthM * $settings->baud > 1e6;

        return [Finding::of(
            $matters ? Severity::Warning : Severity::Advice,
            $missing === [] ? Figures::counted($on, 'resistor')." of 120 Ω on {$link->name}, and not at its two ends" : ($on === 0 ? "Nothing ends {$link->name}" : "{$look->plan->node($missing[0][0]->nodeId)->name} is an end of {$link->name} without its 120 Ω"),
            Spot::of($wrong[0][0], "{$look->plan->node($wrong[0][0]->nodeId)->name} on {$link->name}", 'terminated'),
            $on > 2 ? 'Each one more loads the drivers: what was 1.5 V becomes too little.' : 'A wave that reaches an open end comes back and is heard as another bit. Measured with everything off, the pair shows 60 Ω when two are on, 120 with one, 40 with three.',
            '120 Ω at the two nodes at the ends of the cable, and nowhere between. The order of the ends here is that along the cable.',
            new Fix('120 Ω at the two ends and nowhere else', ...array_map(static fn (array $one): Operation => Operation::change(Endpoint::kind(), $one[0]->id, ['settings' => ['terminated' => $one[2]]]), $wrong)),
            numbers: ['on' => $on],
            about: [$link->id],
        )];
    }
}
