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
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A toggle by text: texts come late, twice, or in another order. */
#[Finds('cell-toggle-by-text', WorkStep::Routes)]
final readonly class ToggleByText implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->receiver->kind->isBought() || $leg->control->kind !== ControlKind::Text || $leg->route->action->survivesRepetition()) {
            return [];
        }

        return [Finding::warning(
            "{$leg->output->name} is toggled by text",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            'A text may come twice, late, or after the next one: nobody knows then whether it is on.',
            'Use a word for on and a word for off, and let it answer with what is so.',
            Fix::change('Make it on', $leg->route, ['action' => Action::On->value]),
            about: [$leg->route->id],
        )];
    }
}
