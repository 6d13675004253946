<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** Something that can hurt is switched by a sensor, and stays on when the sensor fails. */
#[Finds('failure-keeps-on', WorkStep::Routes)]
final readonly class FailureKeepsOn implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $hurts = array_values(array_filter($output->proofHazards(), static fn (Hazard $hazard): bool => $hazard !== Hazard::Access));
        if ($hurts === []) {
            return [];
        }
        $ons = [];
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            if ($control->kind !== ControlKind::Reading) {
                continue;
            }
            $fails = (new Values($control->settings))->text('onFailure');
            // What follows goes off with the reading; what is put off beyond a threshold, when the failure counts as beyond it.
            if (($route->action->holds() && $fails === 'off') || ($route->putsOff() && $fails === 'on')) {
                return [];
            }
            if (! $route->putsOff() && $route->action !== Action::Pulse) {
                $ons[] = [$route, $control];
            }
        }
        if ($ons === []) {
            return [];
        }
        [$route, $control] = $ons[0];
        $off = self::thatPutsOff($look, $output);

        return [Finding::warning(
            "{$output->name} stays on when {$control->name} cannot be read",
            Spot::of($control, "{$look->plan->node($control->nodeId)->name}, {$control->name}", 'onFailure'),
            "A wire breaks or a sensor dies while it is on, and {$hurts[0]->words()}: nothing puts it off any more.",
            "Let the reading that puts it off count as beyond its threshold when it fails, or let the output follow one that counts as off. {$hurts[0]->caution()}",
            match (true) {
                $route->action->holds() => Fix::settings("{$control->name} counts as off when it fails", $control, ['onFailure' => 'off']),
                $off !== null => Fix::settings("{$off->name} puts it off when it fails", $off, ['onFailure' => 'on']),
                default => null,
            },
            about: [$output->id],
        )];
    }

    private static function thatPutsOff(Look $look, Output $output): ?Control
    {
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            if ($route->putsOff() && $control->kind === ControlKind::Reading) {
                return $control;
            }
        }

        return null;
    }
}
