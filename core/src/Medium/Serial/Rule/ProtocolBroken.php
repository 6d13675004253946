<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Description;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** What was written down of a device's manual cannot be, or means two things. */
#[Finds('serial-protocol-broken', WorkStep::Links)]
final readonly class ProtocolBroken implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $said = [];
        foreach ($line->protocols as $protocol) {
            $faults = Description::faults($protocol, count($line->bought) > 1);
            if ($faults === [] || isset($said[$protocol->id])) {
                continue;
            }
            $said[$protocol->id] = true;
            yield Finding::fault(
                "What {$protocol->name} speaks does not hold together: {$faults[0]}",
                Spot::of($protocol, $protocol->name, 'items'),
                implode('; ', $faults).'.',
                'Look at the manual again, and at the bytes that stand beside each function.',
                numbers: ['faults' => count($faults)],
                about: [$link->id, $protocol->id],
            );
        }
    }
}
