<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\Paths;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Timeline;

/**
 * The two schools of asking for something from afar, with what each costs: to send and forget, or to be answered with how it
 * stands. A link's own acknowledge says that a message came, not what was done about it.
 */
final readonly class Schools
{
    /**
     * @param  Timeline  $asked  from the control to the output
     * @param  Timeline  $answered  from there back to whoever asked
     * @param  Control|null  $state  what answers; null where nothing does, and the way back is what it would take
     * @param  Output|null  $shown  what shows the answer
     */
    private function __construct(public Timeline $asked, public Timeline $answered, public ?Control $state, public ?Output $shown)
    {
    }

    /** @return self|null null where it all happens on one board, nothing leads there, or one end is a bought thing that cannot answer or listen */
    public static function of(Plan $plan, Route $route, Knowledge $knowledge): ?self
    {
        $hops = (new Paths($plan))->hops($route);
        $timer = new ReactionTimer($plan, $knowledge);
        $asked = $timer->of($route);
        if ($asked === null || $hops === null || $hops === []) {
            return null;
        }
        $asker = $plan->control($route->controlId)->nodeId;
        foreach ($plan->output($route->outputId)->stateIds as $id) {
            $state = $plan->control($id);
            foreach ($plan->routesFrom($state) as $back) {
                $shown = $plan->output($back->outputId);
                $answered = $shown->nodeId === $asker ? $timer->of($back) : null;
                if ($answered !== null) {
                    return new self($asked, $answered, $state, $shown);
                }
            }
        }
        if ($plan->node($asker)->kind->isBought() || $plan->node($plan->output($route->outputId)->nodeId)->kind->isBought()) {
            return null;
        }

        return new self($asked, $timer->over(array_map(static fn (Hop $hop): Hop => new Hop($hop->id, $hop->routeId, $hop->linkId, $hop->toId, $hop->fromId), array_reverse($hops))), null, null);
    }

    /** Which of them, and why. Common practice. */
    public static function advice(Plan $plan, Route $route): string
    {
        $output = $plan->output($route->outputId);
        $asker = $plan->node($plan->control($route->controlId)->nodeId);
        $far = $plan->node($output->nodeId);

        return match (true) {
            $output->isDangerous() => 'Be answered: it can hurt, and from afar nobody sees what it does.',
            ! $route->action->survivesRepetition() => 'Be answered, or ask for on and for off: one message that is lost or comes twice, and nobody knows how it stands.',
            $asker->placeId !== null && $asker->placeId === $far->placeId => 'Send and forget: whoever works it sees what happens.',
            default => 'Send and forget where somebody sees or hears what happens; be answered where nobody does.',
        };
    }
}
