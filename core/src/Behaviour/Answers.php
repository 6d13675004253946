<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;

/** The states that nodes tell each other, and what shows them. */
final readonly class Answers
{
    /** The output that a state tells of. */
    public static function of(Plan $plan, Control $state): ?Output
    {
        return Holder::of($plan, $state, 'stateIds');
    }

    /** @return list<Control> the states that a node can tell, in the order of its tables: of outputs that it drives itself */
    public static function toldBy(Plan $plan, Node $node): array
    {
        return array_values(array_filter($plan->controlsOf($node), static function (Control $control) use ($plan, $node): bool {
            $of = $control->kind === ControlKind::State ? self::of($plan, $control) : null;

            return $of !== null && $of->nodeId === $node->id && $of->kind->stands();
        }));
    }

    /** @return list<Control> the states of other nodes that an output shows as they are, each once */
    public static function shownBy(Plan $plan, Output $output): array
    {
        $states = [];
        foreach ($plan->routesTo($output) as $route) {
            $control = $plan->control($route->controlId);
            if ($control->kind === ControlKind::State && $control->nodeId !== $output->nodeId && $route->holdsToControl()) {
                $states[$control->id] = $control;
            }
        }

        return array_values($states);
    }

    /** @return int how often a state is told while it stays, milliseconds; 0 for changes only */
    public static function everyMs(Control $state): int
    {
        return $state->toldEveryS() * 1_000;
    }

    /**
     * How long what an output shows is believed: so many intervals missed, and half of one for those that are late.
     *
     * @return int milliseconds; 0 for ever
     */
    public static function believedMs(Plan $plan, Output $output): int
    {
        $slowest = max([0, ...array_map(self::everyMs(...), self::shownBy($plan, $output))]);

        return $output->setting('unknownAfter') * $slowest + intdiv($slowest, 2);
    }
}
