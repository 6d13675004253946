<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** A toggle on a code that comes several times for one press. */
final readonly class RepeatsFlip extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-repeats-flip';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::hops($plan) as ['settings' => $settings, 'hop' => $hop, 'route' => $route, 'output' => $output]) {
            $decoded = ! $plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought();
            if ($settings->coding === KeyedCoding::Pair || ! $decoded || $route->action->survivesRepetition()) {
                continue;
            }
            $quietMs = (int) ceil(2 * $settings->frameNs() / 1e6);
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "One press may flip {$output->name} several times",
                Subject::of($route, RouteNames::of($plan, $route), 'action'),
                ['repeats' => $settings->repeats, 'quiet_ms' => $quietMs],
                "The code comes {$settings->repeats} times a press, as long as the key is held, with nothing to tell the presses apart; and a frame lost in the middle looks like a pause.",
                "Use on and off on two keys, or act once and then wait for {$quietMs} ms of silence.",
                new Fix('Make it on', Operation::change(ThingKind::Route, $route->id, ['action' => Action::On->value])),
                [$route->id],
            );
        }
    }
}
