<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** Which learned code goes over a hop from or to something that was bought. */
final readonly class LearnedCodes
{
    /** @return KeyCode|null the appliance's own for what is asked of it, or the remote's for its key */
    public static function of(Plan $plan, Hop $hop): ?KeyCode
    {
        $route = $plan->route($hop->routeId);
        $output = $plan->output($route->outputId);
        if ($plan->endpoint($hop->toId)->nodeId === $output->nodeId && $plan->node($output->nodeId)->kind === NodeKind::Fixture) {
            foreach ($plan->keyCodesTo($output) as $code) {
                if ($code->action === $route->action) {
                    return $code;
                }
            }

            return null;
        }

        return $plan->keyCodesFrom($plan->control($route->controlId))[0] ?? null;
    }
}
