<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** Two readings of one sort, of which one puts on where the other puts off. */
#[Finds('thresholds-cross', WorkStep::Routes)]
final readonly class ThresholdsCross implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $on = $off = [];
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            $settings = new Values($control->settings);
            if ($control->kind !== ControlKind::Reading || $settings->numberOrNull('threshold') === null || $route->action->holds()) {
                continue;
            }
            // The same module's terminal, or at least the same unit at the same node: otherwise the two have nothing to do with each other.
            $what = "{$control->nodeId} {$settings->text('unit')}";
            if ($route->putsOff()) {
                $off[$what][] = $control;
            } elseif ($route->action === Action::On) {
                $on[$what][] = $control;
            }
        }
        foreach ($on as $what => $controls) {
            foreach ($controls as $one) {
                foreach ($off[$what] ?? [] as $other) {
                    $a = new Values($one->settings);
                    $b = new Values($other->settings);
                    $low = $a->text('beyond') === 'below';
                    if ($low === ($b->text('beyond') === 'below') || ($low ? $a->number('threshold') <= $b->number('threshold') : $a->number('threshold') >= $b->number('threshold'))) {
                        continue;
                    }

                    yield Finding::warning(
                        "{$one->name} puts {$output->name} on where {$other->name} puts it off",
                        Spot::of($other, "{$look->plan->node($other->nodeId)->name}, {$other->name}", 'threshold'),
                        'Between '.Figures::significant(min($a->number('threshold'), $b->number('threshold'))).' and '.Figures::significant(max($a->number('threshold'), $b->number('threshold'))).' both are beyond their thresholds: which of them passed last decides.',
                        'Let the one end where the other begins, with a gap between them.',
                        Fix::settings('Put it off at '.Figures::significant($a->number('threshold') + ($low ? 1 : -1)), $other, ['threshold' => $a->number('threshold') + ($low ? 1.0 : -1.0)]),
                        about: [$output->id, $one->id, $other->id],
                    );
                }
            }
        }
    }
}
