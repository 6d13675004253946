<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Edit\Operation;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** What every rule of keyed radio looks at. */
abstract readonly class KeyedRule implements Rule
{
    public function reads(): array
    {
        return [
            ThingKind::Node, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint, ThingKind::Address, ThingKind::Control, ThingKind::Output,
            ThingKind::KeyCode, ThingKind::Route, ThingKind::Hop,
        ];
    }

    /** @return list<array{link: Link, settings: KeyedSettings}> */
    protected static function links(Plan $plan): array
    {
        return array_map(static fn (Link $link): array => ['link' => $link, 'settings' => KeyedSettings::of($link)], $plan->linksOver(KeyedRadio::KEY));
    }

    /** @return list<array{link: Link, settings: KeyedSettings, hop: Hop, route: Route, output: Output}> */
    protected static function hops(Plan $plan): array
    {
        $found = [];
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($plan->hopsOver($link) as $hop) {
                $route = $plan->route($hop->routeId);
                $found[] = ['link' => $link, 'settings' => $settings, 'hop' => $hop, 'route' => $route, 'output' => $plan->output($route->outputId)];
            }
        }

        return $found;
    }

    /** @param  array<string, mixed>  $values */
    protected static function setLink(Link $link, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Link, $link->id, ['settings' => $values]));
    }
}
