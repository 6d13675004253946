<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Plan;

/** Two terminals on one pin. Terminals on the same line of one bus share it rightly. */
final readonly class PinUsedTwice implements LooksNearby
{
    public function key(): string
    {
        return 'pin-used-twice';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $first = [];
        foreach (WiredPins::of($plan, $knowledge->catalogue) as $wire) {
            ['node' => $node, 'module' => $module, 'terminal' => $terminal, 'use' => $use] = $wire;
            $place = $node->id.' '.$use->pin;
            $other = $first[$place] ?? null;
            $first[$place] ??= $wire;
            $sameWire = $other !== null && $other['module']->id === $module->id && $other['terminal']->name === $terminal->name;
            if ($other === null || $sameWire || ($terminal->onBus() && $terminal->needs === $other['terminal']->needs)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$use->pin} of {$node->name} is used twice",
                Subject::of($use, "{$node->name}, {$module->name} {$terminal->name}", 'pin'),
                ['pin' => $use->pin],
                "{$other['module']->name} {$other['terminal']->name} and {$module->name} {$terminal->name} both hang on {$use->pin}: whichever drives it moves the other too.",
                'Give one of them a pin of its own.',
                Rewiring::fixFor($plan, $node, $use, $knowledge->catalogue)
                    ?? Rewiring::fixFor($plan, $node, $other['use'], $knowledge->catalogue),
                [$use->id, $other['use']->id],
            );
        }
    }
}
