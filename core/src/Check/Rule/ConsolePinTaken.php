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

/** Something hangs on the pins that the board is programmed over. */
final readonly class ConsolePinTaken implements LooksNearby
{
    public function key(): string
    {
        return 'console-pin-taken';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (WiredPins::of($plan, $knowledge->catalogue) as $wire) {
            ['node' => $node, 'module' => $module, 'terminal' => $terminal, 'use' => $use, 'pin' => $pin] = $wire;
            if ($pin?->console !== true) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "{$module->name} sits on the console of {$node->name}",
                Subject::of($use, "{$node->name}, {$module->name} {$terminal->name}", 'pin'),
                ['pin' => $pin->name],
                "{$pin->name} carries the console: boot messages reach {$terminal->name}, and with it connected the board may refuse to be programmed.",
                'Keep the console free, or unplug the module to program the board.',
                Rewiring::fixFor($plan, $node, $use, $knowledge->catalogue),
            );
        }
    }
}
