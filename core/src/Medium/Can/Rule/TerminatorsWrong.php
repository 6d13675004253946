<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\CanSettings;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Medium\Can\Termination;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** The resistors at the two ends of a bus of ours. */
#[Finds('can-terminators', WorkStep::Links)]
final readonly class TerminatorsWrong implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY || CanSettings::of($link)->foreign || count($look->plan->endpointsOn($link)) < 2) {
            return [];
        }
        $bus = CanBus::of($look->plan, $link);
        $wrong = Ends::wrongTerminators($bus);
        $ohms = $bus->terminators();
        $total = (new Termination($ohms))->totalOhm();
        $low = $total !== null && $total < Termination::LEAST_OHM;
        // Two at the right places can be too little together as well.
        if ($wrong === [] && ! $low) {
            return [];
        }
        $changed = Ends::changed($bus);
        $first = $changed[0]['end'];
        $name = $look->plan->node($first->nodeId)->name;

        return [Finding::of(
            count($ohms) === 2 && ! $low ? Severity::Warning : Severity::Fault,
            match (true) {
                $ohms === [] => "Nothing ends {$link->name}",
                count($ohms) === 1 => "Only one end of {$link->name} has its 120 Ω",
                $low => Figures::counted(count($ohms), 'resistor')." on {$link->name}: ".Figures::significant($total).' Ω in all',
                default => "{$link->name} has its 120 Ω somewhere along the way",
            },
            Spot::of($first, "{$name} on {$link->name}", 'terminated'),
            $low ? 'A transceiver makes no dominant bit of so little.' : 'A wave that reaches an open end comes back as another bit. Measured with everything off, the pair shows 60 Ω; 120 says that one is missing, 40 that there are three.',
            '120 Ω at the two nodes at the ends of the cable, and nowhere between. The order of the ends here is that along the cable.',
            new Fix('120 Ω at the two ends and nowhere else', ...array_map(static fn (array $one): Operation => Operation::change(Endpoint::kind(), $one['end']->id, ['settings' => $one['to']]), $changed)),
            numbers: ['total_ohm' => $total === null ? null : round($total, 1), 'on' => count($ohms)],
            about: [$link->id],
        )];
    }
}
