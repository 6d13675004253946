<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Spot;

/** A code of a protocol that this program can name and not send. */
#[Finds('ir-known-by-name-only', WorkStep::Routes)]
final readonly class KnownByNameOnly extends InfraredRule implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        foreach (LearnedCodes::all($look->plan, $leg->hop) as $code) {
            if ($code->protocol !== 'named') {
                continue;
            }
            yield Finding::fault(
                "{$code->name} is a number whose protocol is not known here",
                Spot::of($code, "{$look->plan->node($code->nodeId)->name}, {$code->name}"),
                "A keymap calls it {$code->number} of \"{$code->format}\"; nothing tells how that is put into marks and spaces.",
                'Capture the key itself: its timings are enough.',
                numbers: ['number' => (string) $code->number, 'protocol' => (string) $code->format],
                about: [$code->id],
            );
        }
    }
}
