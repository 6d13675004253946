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

/** A module holds a boot-strap pin at the level that keeps the board from starting. */
final readonly class StrapPinPulled implements LooksNearby
{
    public function key(): string
    {
        return 'strap-pin-pulled';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (WiredPins::of($plan, $knowledge->catalogue) as $wire) {
            ['node' => $node, 'module' => $module, 'terminal' => $terminal, 'use' => $use, 'pin' => $pin] = $wire;
            if ($pin?->strap === null || $terminal->pulls === null || $terminal->pulls->level() === $pin->strap) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$module->name} pulls boot pin {$pin->name} {$terminal->pulls->level()->value}",
                Subject::of($use, "{$node->name}, {$module->name} {$terminal->name}", 'pin'),
                ['pin' => $pin->name, 'wanted' => $pin->strap->value, 'pulled' => $terminal->pulls->level()->value],
                "{$pin->name} must be {$pin->strap->value} at power-up; {$terminal->name} holds it {$terminal->pulls->level()->value}. {$pin->note} {$node->name} starts on the bench and not with the module plugged in.",
                'Move the terminal to a pin that is free at power-up.',
                Rewiring::fixFor($plan, $node, $use, $knowledge->catalogue),
            );
        }
    }
}
