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
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Values;

/** A toggle by text: texts come late, twice, or in another order. */
#[Finds('cell-toggle-by-text', WorkStep::Routes)]
final readonly class ToggleByText implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->receiver->kind->isBought() || $leg->control->kind !== ControlKind::Text || $leg->route->action->survivesRepetition()) {
            return [];
        }

        $step = $leg->route->action === Action::Step;

        return [Finding::warning(
            $step ? "{$leg->output->name} is stepped by text" : "{$leg->output->name} is toggled by text",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            'A text may come twice, late, or after the next one: nobody knows then '.($step ? 'where it stands.' : 'whether it is on.'),
            $step ? 'Let a number follow the word, and set it to that.' : 'Use a word for on and a word for off, and let it answer with what is so.',
            $step ? null : self::on($leg, $look),
            about: [$leg->route->id],
        )];
    }

    /** The word goes with it: a word that says toggle is not believed to put on. */
    private static function on(Leg $leg, Look $look): Fix
    {
        $word = Commands::word($leg->control);
        $operations = [Operation::change(Route::kind(), $leg->route->id, ['action' => Action::On->value])];
        if ($word !== null && CommandWords::actionOf($word) === Action::Toggle) {
            $on = Route::from(new Values([...$leg->route->values(), 'action' => Action::On->value]));
            $operations[] = Operation::change(Control::kind(), $leg->control->id, ['settings' => ['word' => CommandWords::renamed($look->plan, $leg->control, $word, $on)]]);
        }

        return new Fix('Make it on', ...$operations);
    }
}
