<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\SaysCommands;

/** What goes over a bus for a command: a code of ours between boards of ours, a signal to and from what was bought. */
final readonly class CanSayings implements CarriesLetGo, HandsOutCodes, SaysCommands, TellsMessagesApart
{
    public function codes(Plan $plan, Hop $hop): ?CodeRange
    {
        return self::isOurs($plan, $hop) ? new CodeRange(0x01, 0xFE, $hop->toId) : null;
    }

    public function mark(Plan $plan, Hop $hop): ?string
    {
        if (self::isOurs($plan, $hop)) {
            return $hop->code === null ? null : "code {$hop->code}";
        }
        $route = $plan->route($hop->routeId);
        $control = $plan->control($route->controlId);

        return $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought()
            ? "heard {$control->nodeId} {$control->terminal}"
            : "told {$route->outputId} ".(self::figure($plan, $hop) ?? 'as it is');
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }

    public function saying(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);
        if ($plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought()) {
            $control = $plan->control($route->controlId);
            $found = CanEnd::of($plan, $plan->endpoint($hop->fromId))->signal($control->terminal);

            return $found === null ? 'a signal that is not described yet' : "{$found[1]->name} in {$found[0]->hex()}";
        }
        if (self::isOurs($plan, $hop)) {
            $id = CanEnd::of($plan, $plan->endpoint($hop->fromId))->identifier;

            return ($id === null ? 'no identifier yet' : CanMessage::hexOf($id, false)).', '.($hop->code === null ? 'no code yet' : sprintf('code 0x%02X', $hop->code));
        }
        $found = CanEnd::of($plan, $plan->endpoint($hop->fromId))->signal($plan->output($route->outputId)->channel);

        return $found === null ? 'a signal that is not described yet' : "{$found[1]->name} in {$found[0]->hex()}".(self::figure($plan, $hop) === null ? '' : ' = '.self::figure($plan, $hop));
    }

    /** Whether it goes from a board of ours to another. */
    public static function isOurs(Plan $plan, Hop $hop): bool
    {
        return ! $plan->node($plan->endpoint($hop->fromId)->nodeId)->kind->isBought() && ! $plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought();
    }

    /** A signal holds a figure until it is told another: what is only done for a moment, turned over or stepped nobody takes back, or knows from where. */
    public static function canBeTold(Plan $plan, Hop $hop, CanSignal $signal): bool
    {
        return $signal->of->equals === null && $signal->of->bits <= CanSignal::BITS_READ && in_array($plan->route($hop->routeId)->action, [Action::On, Action::Off, Action::Follow, Action::Momentary, Action::Set], true);
    }

    /** @return int|null the figure that a bought device is sent; null where the message says it */
    public static function figure(Plan $plan, Hop $hop): ?int
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
