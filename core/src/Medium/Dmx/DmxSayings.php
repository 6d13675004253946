<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\SaysAgain;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\Fades;
use Rundfunk\Routes\SaysCommands;

/** What goes over a universe for a command: nothing but the value of a slot. */
final readonly class DmxSayings implements Fades, SaysAgain, SaysCommands, TellsMessagesApart
{
    public function mark(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);
        $to = $plan->endpoint($hop->toId);
        // Who obeys sees only where the slot stands: two that put it there alike are one.
        $value = $plan->node($to->nodeId)->kind->isBought() ? '' : ' '.(self::figure($plan, $hop) ?? ($route->action->holds() ? 'held' : 'as it is'));

        return "{$route->outputId} {$route->action->value}{$value} {$route->pulseMs} {$route->fadeMs}";
    }

    /** Whoever keeps the slots fades them; a board of ours that obeys sees each value go by. */
    public function fades(Plan $plan, Hop $hop): bool
    {
        return ! $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought();
    }

    /** A board that obeys says again what holds, with the next packet behind that time. */
    public function everyMs(): int
    {
        return Listener::AGAIN_MS + intdiv(DmxFrame::LOST_MS, 20);
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return false;
    }

    public function saying(Plan $plan, Hop $hop): string
    {
        $universe = Universe::of($plan, $plan->link($hop->linkId));
        $use = $universe->slotOf($hop);
        $start = $universe->at($plan->endpoint($hop->toId))?->settings->start;
        if ($use === null) {
            return 'a slot that is not described yet';
        }
        $route = $plan->route($hop->routeId);
        $where = $start === null ? 'a slot without an address yet' : 'slot '.($start + $use->slot->at - 1).($use->slot->fineAt === null ? '' : ' and '.($start + $use->slot->fineAt - 1));
        $level = self::level($plan, $hop, $use);

        return $where.($level === null ? '' : ' = '.($use->slot->fineAt === null ? $level >> 8 : $level)).($route->fadeMs > 0 ? ' in '.self::seconds($route->fadeMs) : '');
    }

    /** "0.4 s" */
    public static function seconds(int $ms): string
    {
        return $ms < 1_000 ? "{$ms} ms" : rtrim(rtrim(sprintf('%.2f', $ms / 1_000), '0'), '.').' s';
    }

    /** Whether an end can do it: a fixture is told by whoever keeps its slots, but a board of ours sees only where a slot stands. */
    public static function canBeTold(Plan $plan, Hop $hop): bool
    {
        return $plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought()
            || in_array($plan->route($hop->routeId)->action, [Action::On, Action::Off, Action::Follow, Action::Momentary, Action::Set], true);
    }

    /** @return int|null the level that is told, where the plan says it */
    public static function level(Plan $plan, Hop $hop, SlotUse $use): ?int
    {
        $route = $plan->route($hop->routeId);

        return match ($route->action) {
            Action::On => self::on($use),
            Action::Off => self::rest($use),
            Action::Set => $route->value === null ? null : Level::of($plan->output($route->outputId))->for($route->value),
            default => null,
        };
    }

    public static function on(SlotUse $use): int
    {
        return $use->slot->on === null ? Fade::FULL : $use->slot->on * Fade::BYTE;
    }

    /** Off is where it stands while nobody asks anything of it: a shutter that was let go is open again. */
    public static function rest(SlotUse $use): int
    {
        return $use->slot->rest * Fade::BYTE;
    }

    private static function figure(Plan $plan, Hop $hop): ?int
    {
        $route = $plan->route($hop->routeId);

        return match ($route->action) {
            Action::On => 1,
            Action::Off => 0,
            Action::Set => $route->value,
            default => null,
        };
    }
}
