<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** Which learned codes go over a hop from or to something that was bought. */
final readonly class LearnedCodes
{
    /** @return KeyCode|null the one code, or the first where the control says which */
    public static function of(Plan $plan, Hop $hop): ?KeyCode
    {
        return self::all($plan, $hop)[0] ?? null;
    }

    /**
     * The appliance's own for what is asked of it, or the remote's for its key. Several where the control says the
     * value: a stick may ask for any speed there is.
     *
     * @return list<KeyCode>
     */
    public static function all(Plan $plan, Hop $hop): array
    {
        $route = $plan->route($hop->routeId);
        $output = $plan->output($route->outputId);
        if ($plan->endpoint($hop->toId)->nodeId !== $output->nodeId || $plan->node($output->nodeId)->kind !== NodeKind::Fixture) {
            return array_slice($plan->keyCodesFrom($plan->control($route->controlId)), 0, 1);
        }
        $asked = array_values(array_filter(
            $plan->keyCodesTo($output),
            static fn (KeyCode $code): bool => $code->action === $route->action && ($route->value === null || $code->value === $route->value),
        ));

        return $route->holdsToControl() && $route->action === Action::Set ? $asked : array_slice($asked, 0, 1);
    }
}
