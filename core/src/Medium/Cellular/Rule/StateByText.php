<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A state that is told again and again, each time by a text that is paid for. */
#[Finds('cell-state-by-text', WorkStep::Routes)]
final readonly class StateByText implements HopRule
{
    /** A person reads no more. Common practice. */
    private const TEXTS_A_DAY = 24;

    public function check(Leg $leg, Look $look): iterable
    {
        $every = $leg->control->kind === ControlKind::State ? Answers::everyMs($leg->control) : 0;
        if ($every === 0 || $leg->output->kind !== OutputKind::Message || ! $leg->route->holdsToControl()) {
            return [];
        }
        $texts = 86_400_000 / $every;
        if ($texts <= self::TEXTS_A_DAY) {
            return [];
        }

        return [Finding::warning(
            Figures::significant($texts).' texts a day say that nothing has changed',
            Spot::of($leg->control, "{$leg->sender->name}, {$leg->control->name}", 'everyS'),
            "{$leg->control->name} is told every ".Figures::significant($every / 1_000).' s, and each time it is a text: they are paid for, fill the phone, and what matters is not seen among them.',
            'Let it be told by text when it changes, and when it was asked for. Whether the board is there at all a text a day tells well enough.',
            Fix::settings('Tell it when it changes', $leg->control, ['everyS' => 0]),
            numbers: ['texts_per_day' => $texts],
            about: [$leg->control->id],
        )];
    }
}
