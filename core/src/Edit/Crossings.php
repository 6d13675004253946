<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/**
 * Things that refer past their own node: a key on another board's pad, a hop over a link on which its ends are not. A
 * plan may hold such things, as a faulty plan may hold anything; what is near is then not told by nodes and links.
 */
final readonly class Crossings
{
    /** Whether the plan as it is holds any, or what the edit touched was one before. */
    public static function any(Edited $edited): bool
    {
        foreach ($edited->kinds() as $kind) {
            foreach ($edited->touched[$kind->value] as $id) {
                $thing = $edited->before->find($kind, $id);
                if ($thing !== null && self::crosses($edited->before, $thing)) {
                    return true;
                }
            }
        }
        foreach ([ThingKind::Control, ThingKind::Output, ThingKind::Endpoint, ThingKind::KeyCode, ThingKind::Hop] as $kind) {
            foreach ($edited->plan->all($kind) as $thing) {
                if (self::crosses($edited->plan, $thing)) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function crosses(Plan $plan, Thing $thing): bool
    {
        return match (true) {
            $thing instanceof Hop => $plan->endpoint($thing->fromId)->linkId !== $thing->linkId || $plan->endpoint($thing->toId)->linkId !== $thing->linkId,
            $thing instanceof Control, $thing instanceof Output, $thing instanceof Endpoint => $thing->moduleId !== null && $plan->module($thing->moduleId)->nodeId !== $thing->nodeId,
            $thing instanceof KeyCode => ($thing->controlId !== null && $plan->control($thing->controlId)->nodeId !== $thing->nodeId)
                || ($thing->outputId !== null && $plan->output($thing->outputId)->nodeId !== $thing->nodeId),
            default => false,
        };
    }
}
