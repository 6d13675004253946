<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\Spot;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\LinkLoss;
use Rundfunk\SafeState\Unheard;

/** Something that can hurt comes on by itself when nobody is heard, and its owner has not said that it must, or may. */
#[Finds('comes-on-dangerously', WorkStep::SafeStates)]
final readonly class ComesOnDangerously implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $hazard = $output->proofHazards()[0] ?? null;
        // Of one that must be off, the matrix says so, where there is a level of a pin to judge it by.
        $open = $output->safe === null || ($output->safe === SafeState::Off && Judgement::of($look, $output) === null);
        if ($hazard === null || ! $open || (new Unheard($look))->of($output) !== LinkLoss::GoesOn) {
            return [];
        }

        return [Finding::danger(
            "{$output->name} comes on when nobody is heard",
            Spot::of($output, "{$look->plan->node($output->nodeId)->name}, {$output->name}", 'safe'),
            "It comes on by itself, and {$hazard->words()}: an empty battery, a dead gateway or anybody who jams the link sets it going.",
            "Let it go off when it is unheard of, or say that it must be on or that either is well. {$hazard->caution()}",
            $output->comesOnUnheard() ? Fix::settings('Let it go off instead', $output, ['silenceOn' => false]) : null,
        )];
    }
}
