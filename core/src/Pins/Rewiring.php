<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Fix;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;

/** The changes that bring a node's wiring to what the planner finds best. */
final readonly class Rewiring
{
    /**
     * @return list<Rewire>
     */
    public static function of(Plan $plan, Node $node, Catalogue $catalogue): array
    {
        $planned = (new PinPlanner($catalogue))->plan($plan, $node);
        $changes = [];
        foreach ($planned->placed ?? [] as ['demand' => $demand, 'pin' => $pin]) {
            foreach ($demand->wants as ['module' => $module, 'terminal' => $terminal, 'use' => $use]) {
                if ($use?->pin !== $pin->name && $use?->pinned !== true) {
                    $changes[] = new Rewire($node, $module, $terminal, $use, $pin);
                }
            }
        }

        return $changes;
    }

    /** The one click that moves a use off a bad pin; null when the planner would leave it. */
    public static function fixFor(Plan $plan, Node $node, PinUse $use, Catalogue $catalogue): ?Fix
    {
        $changes = self::of($plan, $node, $catalogue);
        foreach ($changes as $change) {
            if ($change->before?->id === $use->id) {
                // The rest goes with it: a move may need another to make room.
                $moves = array_values(array_filter($changes, static fn (Rewire $other): bool => $other->before !== null));
                if ($change->after->console || self::endOnConsole($moves, $node, $catalogue)) {
                    return null;
                }

                return new Fix(
                    "Move {$use->terminal} to {$change->after->name}".(count($moves) > 1 ? ' and '.(count($moves) - 1).' more' : ''),
                    ...array_map(static fn (Rewire $move): Operation => $move->operation($plan), $moves),
                );
            }
        }

        return null;
    }

    /**
     * A fault of one is not mended by another.
     *
     * @param  list<Rewire>  $moves
     */
    private static function endOnConsole(array $moves, Node $node, Catalogue $catalogue): bool
    {
        foreach ($moves as $move) {
            if ($move->after->console && $catalogue->boardOf($node)?->pin($move->before->pin ?? '')?->console !== true) {
                return true;
            }
        }

        return false;
    }
}
