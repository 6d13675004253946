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

/** The pin has no such function, or the board has no such pin. */
final readonly class PinIncapable implements LooksNearby
{
    public function key(): string
    {
        return 'pin-incapable';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (WiredPins::of($plan, $knowledge->catalogue) as $wire) {
            ['node' => $node, 'board' => $board, 'module' => $module, 'terminal' => $terminal, 'use' => $use, 'pin' => $pin] = $wire;
            if ($pin !== null && $pin->serves($terminal->needs)) {
                continue;
            }
            $needs = self::words($terminal->needs);
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $pin === null ? "{$node->name} has no pin {$use->pin}" : "{$use->pin} of {$node->name} is no {$needs}",
                Subject::of($use, "{$node->name}, {$module->name} {$terminal->name}", 'pin'),
                ['pin' => $use->pin, 'needs' => $terminal->needs, 'can' => $pin === null ? '' : implode(' ', $pin->can)],
                "{$module->name} {$terminal->name} needs a {$needs}. ".($pin === null ? "The {$board->name} has no pin of that name." : trim("{$use->pin} can do: ".implode(', ', $pin->can).". {$pin->note}")),
                'Move it to a pin that can.',
                Rewiring::fixFor($plan, $node, $use, $knowledge->catalogue),
            );
        }
    }

    private static function words(string $needs): string
    {
        return match ($needs) {
            'digital-in' => 'digital input',
            'digital-out' => 'digital output',
            'analogue' => 'analogue input',
            'pwm' => 'PWM pin',
            'interrupt' => 'interrupt pin',
            default => strtoupper(str_replace('.', ' ', $needs)).' pin',
        };
    }
}
