<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;

/** An output on a pin that works it by itself while the board starts: the relay clicks at each reset. */
#[Finds('switches-at-start', WorkStep::PinsAndPower)]
final readonly class SwitchesAtStart implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ($look->wiresOf($node) as $wire) {
            if ($wire->pin === null || $wire->pin->start->isQuiet()) {
                continue;
            }
            $on = OnLevel::of($look->plan, $wire->module, $look->catalogue->classOf($wire->module), $wire->terminal);
            $when = $on === null ? null : $wire->pin->start->switchesOn($on);
            if ($on === null || $when === null) {
                continue;
            }
            $outputs = array_values(array_filter($look->plan->having(Output::class, 'moduleId', $wire->module->id), static fn (Output $output): bool => $output->channel === $wire->terminal->name));
            // Of one that says what it must be, the matrix of safe states says so.
            if (array_filter($outputs, static fn (Output $output): bool => $output->safe === null) === [] && $outputs !== []) {
                continue;
            }
            $isDangerous = array_filter($outputs, static fn (Output $output): bool => $output->hazards !== []) !== [];
            if ($wire->pin->console && ! $isDangerous) {
                // What is on the console is told so already.
                continue;
            }
            $what = $outputs[0]->name ?? "{$wire->module->name} {$wire->terminal->name}";
            yield Finding::of(
                $isDangerous ? Severity::Fault : Severity::Warning,
                "{$what} of {$node->name} is worked by {$wire->use->pin} {$when}",
                $wire->at(),
                "{$wire->use->pin} does so by itself, before any program: ".$on->value.' switches this on. It happens at each power-up, each reset, and whenever the board is programmed.',
                'Move it to a pin that is quiet while the board starts.',
                Rewiring::fixFor($look->plan, $node, $wire->use, $look->catalogue),
                numbers: ['pin' => $wire->use->pin, 'on' => $on->value],
                about: [$wire->use->id],
            );
        }
    }
}
