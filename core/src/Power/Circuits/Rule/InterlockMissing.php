<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Behaviour\NeverTogether;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Interlock;

/** Two that must never be on together, and nothing but a program sees to it. */
#[Finds('interlock-missing', WorkStep::SafeStates)]
final readonly class InterlockMissing implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        foreach (NeverTogether::with($look->plan, $output) as $other) {
            // A pair is judged once, by the one that comes first.
            if (strcmp($output->id, $other->id) > 0 || ($output->interlocked && $other->interlocked)) {
                continue;
            }
            $can = Interlock::isPossible($look, $output) && Interlock::isPossible($look, $other);
            $operations = array_map(static fn (Output $one): Operation => Operation::change(Output::kind(), $one->id, ['interlocked' => true]), array_values(array_filter([$output, $other], static fn (Output $one): bool => ! $one->interlocked)));

            yield Finding::of(
                $output->isDangerous() || $other->isDangerous() ? Severity::Danger : Severity::Fault,
                "{$output->name} and {$other->name} must never be on together, and nothing but the program keeps them apart",
                At::output($look, $output, 'interlocked'),
                'A reset, a weld, a slip in a program, and both are on: a motor\'s windings short the mains, a valve is pushed both ways.',
                $can ? 'Contacts in series: the line of each over the normally closed contact of the other. The program refuses too, as an extra.' : 'Relays with changeover contacts for both; a solid-state relay has nothing that opens the other.',
                $can ? new Fix('Each line over the other\'s normally closed contact', ...$operations) : null,
                about: [$output->id, $other->id],
            );
        }
    }
}
