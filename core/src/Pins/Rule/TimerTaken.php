<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\Signal;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Pins\Timers;
use Rundfunk\Plan\Node;

/** Two signals want one timer of the chip: the dimmer goes dark when the servo is attached. */
#[Finds('timer-taken', WorkStep::PinsAndPower)]
final readonly class TimerTaken implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $board = $look->board($node);
        if ($board === null || $board->timers === []) {
            return;
        }
        $dimming = array_filter($look->wiresOf($node), static fn (Wire $wire): bool => $wire->terminal->signal === Signal::Pwm || $wire->terminal->signal === Signal::Carrier);
        if ($dimming === []) {
            return;
        }
        $timers = Timers::of($board, Demands::of($look->plan, $node, $look->catalogue)->all());
        foreach ($dimming as $wire) {
            $why = $wire->pin === null || $wire->terminal->isBySoftware($wire->use) ? null : $timers->inTheWay($wire->pin, $wire->terminal);
            if ($why === null) {
                continue;
            }
            yield Finding::fault(
                "{$wire->use->pin} of {$node->name} makes no {$wire->terminal->signal?->words()}: {$why}",
                $wire->at(),
                "A timer counts at one pace. {$wire->module->name} {$wire->terminal->name} and what has the timer already would take it from each other, as soon as the second of them is started.",
                'Move it to a pin of another timer.',
                Rewiring::fixFor($look->plan, $node, $wire->use, $look->catalogue),
                numbers: ['pin' => $wire->use->pin, 'timer' => $board->timerOf($wire->pin)->name ?? ''],
                about: [$wire->use->id],
            );
        }
    }
}
