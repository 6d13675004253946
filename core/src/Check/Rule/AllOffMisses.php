<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Masters\AllOff;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A control that puts everything off, but for one or two that were forgotten. */
final readonly class AllOffMisses implements LooksNearby
{
    /** So many outputs must it put off before it counts as putting everything off. */
    private const MANY = 3;

    public function key(): string
    {
        return 'all-off-misses';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Control, ThingKind::Output, ThingKind::Route];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->controls() as $control) {
            $reached = self::putOff($plan, $control);
            if (count($reached) < self::MANY) {
                continue;
            }
            $missed = self::missed($plan, $reached);
            if ($missed === [] || count($missed) > 2) {
                continue;
            }
            $names = implode(' and ', array_map(static fn (Output $output): string => "{$output->name} of {$plan->node($output->nodeId)->name}", $missed));
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "{$control->name} of {$plan->node($control->nodeId)->name} leaves {$names} on",
                Subject::of($control, "{$control->name} of {$plan->node($control->nodeId)->name}"),
                [],
                'It puts '.count($reached)." outputs off, among them others of the same boards, but not {$names}.",
                'Route it there with off as well, or accept this if it is meant.',
                null,
                array_map(static fn (Output $output): string => $output->id, $missed),
            );
        }
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
