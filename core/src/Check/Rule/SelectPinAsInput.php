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

/** On some boards the bus's own select pin must stay an output, or the board stops being the controller of its bus. */
final readonly class SelectPinAsInput implements LooksNearby
{
    public function key(): string
    {
        return 'select-pin-as-input';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $wires = [];
        $buses = [];
        foreach (WiredPins::of($plan, $knowledge->catalogue) as $wire) {
            $wires[] = $wire;
            foreach ($wire['terminal']->onBus() ? $wire['pin']->can ?? [] : [] as $can) {
                $buses[$wire['node']->id][explode('.', $can)[0]] = true;
            }
        }
        foreach ($wires as ['node' => $node, 'module' => $module, 'terminal' => $terminal, 'use' => $use, 'pin' => $pin]) {
            $mustDrive = $pin?->outputWhile !== null && isset($buses[$node->id][$pin->outputWhile]);
            if (! $mustDrive || ! in_array($terminal->needs, ['digital-in', 'analogue'], true)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$use->pin} of {$node->name} must stay an output",
                Subject::of($use, "{$node->name}, {$module->name} {$terminal->name}", 'pin'),
                ['pin' => $use->pin],
                "While the board talks over its bus, {$use->pin} is that bus's own select pin. As an input it makes the board drop off the bus when it reads low: the radio goes deaf when {$terminal->name} is pressed.",
                'Move it to another pin; an output may use this one.',
                Rewiring::fixFor($plan, $node, $use, $knowledge->catalogue),
            );
        }
    }
}
