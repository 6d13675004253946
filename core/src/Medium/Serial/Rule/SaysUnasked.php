<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItemKind;

/** A device that speaks when it likes, on a line that others speak on too. */
#[Finds('serial-says-unasked', WorkStep::Links)]
final readonly class SaysUnasked implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $end->link);
        $protocol = $line->protocols[$end->endpoint->id] ?? null;
        if ($protocol === null || count($line->bought) < 2) {
            return;
        }
        $says = array_values(array_filter($look->plan->controlsOf($end->node), static fn (Control $control): bool => self::isSaid($control, $protocol)));
        if ($says !== []) {
            yield Finding::fault(
                "{$end->node->name} says {$says[0]->terminal} when it likes, on a line that it shares",
                $end->at(),
                'What it says runs into the answer of another: both are lost, and nobody says them again.',
                'A line of its own for what speaks unasked; or ask for it, if it answers that too.',
                numbers: ['devices' => count($line->bought)],
            );
        }
    }

    private static function isSaid(Control $control, Protocol $protocol): bool
    {
        return in_array($control->kind, [ControlKind::Reading, ControlKind::Key], true) && $control->terminal !== null && $protocol->item($control->terminal)?->kind === ProtocolItemKind::Says;
    }
}
