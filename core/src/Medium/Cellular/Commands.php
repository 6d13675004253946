<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Shape\Values;

/** What phones ask of a modem. */
final readonly class Commands
{
    /** @return list<array{hop: Hop, route: Route, control: Control, output: Output}> every call or text that arrives at an end */
    public static function to(Plan $plan, Endpoint $endpoint): array
    {
        $commands = [];
        foreach ($plan->hopsTo($endpoint) as $hop) {
            $route = $plan->route($hop->routeId);
            $commands[] = ['hop' => $hop, 'route' => $route, 'control' => $plan->control($route->controlId), 'output' => $plan->output($route->outputId)];
        }

        return $commands;
    }

    /** Whether what a control does gets to a modem of ours. */
    public static function reachModem(Plan $plan, Control $control): bool
    {
        foreach ($plan->routesFrom($control) as $route) {
            foreach ($plan->hopsOf($route) as $hop) {
                $end = $plan->endpoint($hop->toId);
                $link = $plan->link($hop->linkId);
                if ($link->medium === Cellular::KEY && $end->linkId === $link->id && $plan->endpoint($hop->fromId)->linkId === $link->id && ! $plan->node($end->nodeId)->kind->isBought()) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The command word of a text, as it is compared: capitals, single blanks. */
    public static function word(Control $control): ?string
    {
        $word = $control->kind === ControlKind::Text ? (new Values($control->settings))->textOrNull('word') : null;
        $word = $word === null ? '' : self::normal($word);

        return $word === '' ? null : $word;
    }

    public static function normal(string $word): string
    {
        return mb_strtoupper(trim((string) preg_replace('/\s+/u', ' ', $word)));
    }

    public static function needsSecret(Control $control): bool
    {
        return $control->kind === ControlKind::Text && (new Values($control->settings))->flag('secret');
    }

    /** The board hangs up, calls back, and waits for a key: only who has that telephone can press it. */
    public static function callsBack(Control $control): bool
    {
        return $control->kind === ControlKind::Call && (new Values($control->settings))->flag('callBack');
    }

    /** A number stands behind the word: to what it is to be set. */
    public static function takesNumber(Control $control, Route $route): bool
    {
        return $control->kind === ControlKind::Text && $route->action === Action::Set && $route->value === null;
    }

    public static function answers(Control $control): bool
    {
        return $control->kind === ControlKind::Text && (new Values($control->settings))->flag('reply');
    }

    /** @return Control|null the state of what a phone's control works, where that is told to the same phone by text */
    public static function answeringState(Plan $plan, Control $control): ?Control
    {
        $worked = array_map(static fn (Route $route): string => $route->outputId, $plan->routesFrom($control));
        foreach ($plan->outputsOf($plan->node($control->nodeId)) as $message) {
            foreach ($message->kind === OutputKind::Message ? $plan->routesTo($message) : [] as $route) {
                $state = $plan->control($route->controlId);
                if ($state->kind === ControlKind::State && in_array(Answers::of($plan, $state)?->id, $worked, true)) {
                    return $state;
                }
            }
        }

        return null;
    }

    /** The number of a phone, as the network knows it. */
    public static function number(Plan $plan, Endpoint $endpoint): ?PhoneNumber
    {
        $value = ($plan->addressesOf($endpoint)[0] ?? null)?->value;

        return $value === null ? null : PhoneNumber::parse($value, (new Values($plan->link($endpoint->linkId)->settings))->text('country'));
    }

    /** @return list<array{endpoint: Endpoint, name: string, number: string}> whom modems on a link obey */
    public static function allowed(Plan $plan, Link $link): array
    {
        $allowed = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $node = $plan->node($endpoint->nodeId);
            $number = self::number($plan, $endpoint)?->e164;
            if ($node->kind === NodeKind::Phone && $number !== null && CellularEnd::of($endpoint)->listed) {
                $allowed[] = ['endpoint' => $endpoint, 'name' => $node->name, 'number' => $number];
            }
        }

        return $allowed;
    }
}
