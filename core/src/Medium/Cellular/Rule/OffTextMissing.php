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
use Rundfunk\Medium\Cellular\CommandWords;
use Rundfunk\Medium\Cellular\TakenWords;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A text puts something on, and no text or call puts it off. */
#[Finds('cell-off-text-missing', WorkStep::Routes)]
final readonly class OffTextMissing implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $plan = $look->plan;
        if ($leg->receiver->kind->isBought() || $leg->control->kind !== ControlKind::Text || $leg->route->action !== Action::On || ! $leg->output->kind->switches()) {
            return [];
        }
        foreach ($plan->routesTo($leg->output) as $route) {
            if ($route->putsOff() && in_array($plan->control($route->controlId)->kind, [ControlKind::Text, ControlKind::Call], true)) {
                return [];
            }
        }

        return [Finding::advice(
            "{$leg->output->name} is put on by text, and by no text off",
            Spot::of($leg->route, RouteNames::of($plan, $leg->route)),
            'Whoever is away and has switched it on cannot switch it off from there.',
            'Add a text that puts it off.',
            $this->fix($leg, $look),
            about: [$leg->route->id],
        )];
    }

    /** The text, its word, its route and its way, all at once: nothing is left for Assign. */
    private function fix(Leg $leg, Look $look): Fix
    {
        $plan = $look->plan;
        $id = $plan->newId('control', $leg->control->id, 'off');
        $route = new Route($plan->newId('route', $id), $id, $leg->output->id, Action::Off);
        $word = CommandWords::free($leg->output, $route, TakenWords::in($look));
        $control = new Control($id, $leg->control->nodeId, "{$leg->output->name} off", ControlKind::Text, order: $leg->control->order + 1, settings: [...$leg->control->settings, 'word' => $word]);
        $hops = array_map(
            static fn (Hop $hop): Operation => Operation::add(new Hop($plan->newId('hop', $route->id, $hop->id), $route->id, $hop->linkId, $hop->fromId, $hop->toId, order: $hop->order)),
            $plan->hopsOf($leg->route),
        );

        return new Fix("Add the text {$word}", Operation::add($control), Operation::add($route), ...$hops);
    }
}
