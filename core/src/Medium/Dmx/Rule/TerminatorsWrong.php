<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\Segments;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** The resistor at the last of each stretch. */
#[Finds('dmx-terminators', WorkStep::Links)]
final readonly class TerminatorsWrong implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if (DmxSettings::of($link)->isNetwork) {
            return [];
        }
        $wrong = Segments::of($look->plan, $link)->wrongTerminators();
        if ($wrong === []) {
            return [];
        }
        $first = $wrong[0];
        $name = $look->plan->node($first->nodeId)->name;
        $isOn = DmxEnd::of($first)->terminated;

        return [Finding::fault(
            $isOn ? "{$name} has its 120 Ω on in the middle of {$link->name}" : "Nothing ends {$link->name} at {$name}",
            Spot::of($first, "{$name} on {$link->name}", 'terminated'),
            'A wave that reaches an open end comes back into the slots behind it: lamps twitch, mostly the last ones, mostly on the evening. One too many takes a driver\'s strength.',
            '120 Ω between data + and data − at the last of each stretch of cable, in a plug of its own, and nowhere else.',
            new Fix('120 Ω at the last of each stretch', ...array_map(static fn (Endpoint $end): Operation => Operation::change(Endpoint::kind(), $end->id, ['settings' => ['terminated' => ! DmxEnd::of($end)->terminated]]), $wrong)),
            about: [$link->id],
        )];
    }
}
