<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\SaysAgain;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\Fades;
use Rundfunk\Routes\SaysCommands;

/** What goes over a universe for a command: nothing but the value of a slot. */
final readonly class DmxSayings implements CarriesLetGo, Fades, SaysAgain, SaysCommands, TellsMessagesApart
{
    public function mark(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);

        return "{$route->outputId} {$route->action->value} ".(self::value($plan, $route) ?? 'as it is')." {$route->pulseMs} {$route->fadeMs}";
    }

    /** Whoever keeps the slots fades them. A board of ours that obeys goes along only where it takes any value: a place that a route names it sees at the end. */
    public function fades(Plan $plan, Hop $hop): bool
    {
        $route = $plan->route($hop->routeId);

        return ! $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought()
            && ($plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought() || ($route->action === Action::Set && self::value($plan, $route) === null));
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
        $level = self::level($plan, $route, $use);

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

    /** @return int|null the level that a route puts a slot to; null where the plan does not say */
    public static function level(Plan $plan, Route $route, SlotUse $use): ?int
    {
        $value = self::value($plan, $route);

        return match ($route->action) {
            Action::On => self::on($use),
            Action::Off => self::rest($use),
            Action::Set => $value === null ? null : Level::of($plan->output($route->outputId))->for($value),
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

    /** @return int|null the figure that the plan says, whatever comes with the message: what is handed on from a remote's key bears none; null where the control says it */
    public static function value(Plan $plan, Route $route): ?int
    {
        return match ($route->action) {
            Action::Set => $route->value ?? ($plan->control($route->controlId)->saysValue() ? null : 0),
            Action::Step => $route->value ?? 1,
            default => null,
        };
    }
}
