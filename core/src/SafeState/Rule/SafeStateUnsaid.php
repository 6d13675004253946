<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\Spot;
use Rundfunk\SafeState\Asked;
use Rundfunk\SafeState\Judgement;

/** Something that can hurt, and nobody has said what it must be when the network does not work. */
#[Finds('safe-state-unsaid', WorkStep::SafeStates)]
final readonly class SafeStateUnsaid implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $why = $output->safe === null && $output->kind->isWired() ? Asked::of($look, $output) : null;
        if ($why === null) {
            return [];
        }
        $node = $look->plan->node($output->nodeId);
        $judgement = Judgement::of($look, $output)?->declared(SafeState::Off);
        $unsafe = $judgement?->unsafe() ?? [];
        $way = $unsafe === [] ? [] : $judgement->ways($unsafe)[0] ?? null;
        $say = Operation::change(Output::kind(), $output->id, ['safe' => SafeState::Off->value]);
        // Said alone it would only be followed by what is wrong then.
        $fix = match (true) {
            $judgement === null || $way === null => null,
            $way === [] => new Fix('It must be off', $say),
            default => new Fix('It must be off: '.lcfirst(($made = Unsafe::fix($way))->label), $say, ...$made->operations),
        };

        return [Finding::of(
            $output->isDangerous() ? Severity::Danger : Severity::Fault,
            "Nobody has said what {$output->name} of {$node->name} must be when the network does not work",
            Spot::of($output, "{$node->name}, {$output->name}", 'safe'),
            "{$why} Without power, at reset, while it is flashed, with its link lost and with a program that hangs it does something: only its owner knows what that must be.",
            'Say that it must be off, must be on, or that either is well. '.implode(' ', array_unique(array_map(static fn (Hazard $hazard): string => $hazard->caution(), array_map(static fn (string $one): Hazard => Hazard::from($one), $output->hazards)))),
            $fix,
        )];
    }
}
