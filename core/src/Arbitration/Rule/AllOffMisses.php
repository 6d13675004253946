<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration\Rule;

use Rundfunk\Arbitration\AllOff;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** A control that puts everything off, but for one or two that were forgotten. */
#[Finds('all-off-misses', WorkStep::Routes)]
final readonly class AllOffMisses implements ControlRule
{
    /** So many outputs must it put off before it counts as putting everything off. */
    private const MANY = 3;

    public function check(Control $control, Look $look): iterable
    {
        $reached = self::putOff($look->plan, $control);
        if (count($reached) < self::MANY) {
            return [];
        }
        $missed = self::missed($look->plan, $reached);
        if ($missed === [] || count($missed) > 2) {
            return [];
        }
        $names = implode(' and ', array_map(static fn (Output $output): string => "{$output->name} of {$look->plan->node($output->nodeId)->name}", $missed));

        return [Finding::advice(
            "{$control->name} of {$look->plan->node($control->nodeId)->name} leaves {$names} on",
            Spot::of($control, "{$control->name} of {$look->plan->node($control->nodeId)->name}"),
            'It puts '.count($reached)." outputs off, among them others of the same boards, but not {$names}.",
            'Route it there with off as well, or accept this if it is meant.',
            about: array_map(static fn (Output $output): string => $output->id, $missed),
        )];
    }

    /** @return array<string, Output> by id; none when the control does anything but put off */
    private static function putOff(Plan $plan, Control $control): array
    {
        $outputs = [];
        foreach ($plan->routesFrom($control) as $route) {
            if (! $route->putsOff()) {
                return [];
            }
            $outputs[$route->outputId] = $plan->output($route->outputId);
        }

        return $outputs;
    }

    /**
     * @param  array<string, Output>  $reached
     * @return list<Output> others of the same nodes that "all off" means
     */
    private static function missed(Plan $plan, array $reached): array
    {
        $missed = [];
        foreach (array_unique(array_map(static fn (Output $output): string => $output->nodeId, $reached)) as $nodeId) {
            foreach ($plan->outputsOf($plan->node($nodeId)) as $output) {
                if (! isset($reached[$output->id]) && AllOff::reaches($plan, $output)) {
                    $missed[] = $output;
                }
            }
        }

        return $missed;
    }
}
