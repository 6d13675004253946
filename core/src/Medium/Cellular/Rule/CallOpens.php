<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\CommandWords;
use Rundfunk\Medium\Cellular\TakenWords;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Something dangerous hangs on a call, and who calls can be forged. */
#[Finds('cell-call-opens', WorkStep::Routes)]
final readonly class CallOpens implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $hazard = $leg->output->proofHazards()[0] ?? null;
        if ($leg->receiver->kind->isBought() || $leg->control->kind !== ControlKind::Call || $hazard === null || $leg->route->putsOff() || Commands::callsBack($leg->control)) {
            return [];
        }

        return [Finding::danger(
            "A forged call works {$leg->output->name}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            "Anyone who knows a number on the list can call as if from it, and {$hazard->words()}. A call may switch a lamp.",
            "Ask for a text with a secret, or let the board call back and wait for a key. {$hazard->caution()}",
            self::asText($leg, $look),
            numbers: ['hazard' => $hazard->value],
        )->orElse(
            Fix::settings('Let it call back and wait for a key', $leg->control, ['callBack' => true]),
            Fix::change('Let calls only switch it off', $leg->route, ['action' => Action::Off->value, 'pulseMs' => null]),
        )];
    }

    /** The call becomes a text: with a word of its own, and a secret. */
    private static function asText(Leg $leg, Look $look): ?Fix
    {
        if (count($look->plan->routesFrom($leg->control)) > 1) {
            return null;
        }
        $word = CommandWords::free($leg->output, $leg->route, TakenWords::in($look));

        return Fix::change("Make it the text {$word} with a secret", $leg->control, ['kind' => ControlKind::Text->value, 'settings' => ['word' => $word, 'secret' => true, 'reply' => true]]);
    }
}
