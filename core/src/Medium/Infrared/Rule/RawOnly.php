<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Spot;

/** A code of no known protocol is in use. */
#[Finds('ir-raw-only', WorkStep::Routes)]
final readonly class RawOnly extends InfraredRule implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        foreach (LearnedCodes::all($look->plan, $leg->hop) as $code) {
            if ($code->protocol !== 'raw' || $leg->receiver->kind->isBought()) {
                continue;
            }
            yield Finding::advice(
                "{$code->name} is known by its timings alone",
                Spot::of($code, "{$look->plan->node($code->nodeId)->name}, {$code->name}"),
                'No protocol explains it, so the program must compare every length with what was captured: slower, and easily fooled by sun or distance.',
                "Capture it three times on {$leg->link->name} from two distances; a remote of a known protocol is surer.",
                numbers: ['lengths' => count(IrCodes::signal($code, $this->protocols)->lengthsNs ?? [])],
                about: [$code->id],
            );
        }
    }
}
