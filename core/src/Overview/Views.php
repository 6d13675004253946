<?php

declare(strict_types=1);

namespace Rundfunk\Overview;

use Rundfunk\Check\Findings;
use Rundfunk\Check\Rule\RouteWithoutPath;
use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/** All that screens show of a plan besides the plan itself, each list with the name of what it goes by. */
final readonly class Views
{
    /** Which id the parts of each list go by. */
    public const KEYS = ['routes' => 'routeId', 'masters' => 'outputId', 'codeGrids' => 'nodeId', 'panels' => 'linkId', 'pinTables' => 'nodeId'];

    /** @return array<string, list<array<string, mixed>>> */
    public static function of(Plan $plan, Knowledge $knowledge): array
    {
        return [
            'routes' => RouteViews::of($plan, $knowledge),
            'masters' => MasterViews::of($plan),
            'codeGrids' => CodeGrids::of($plan, $knowledge->media),
            'panels' => PanelViews::of($plan, $knowledge),
            'pinTables' => PinTables::of($plan, $knowledge->catalogue),
        ];
    }

    /**
     * What an edit made of them: the parts that can have changed, and the ids of those that are no more.
     *
     * @param  Findings  $findings  of the plan as the edit left it
     * @return array<string, array{put: list<array<string, mixed>>, gone: list<string>}>
     */
    public static function after(Edited $edited, Findings $findings, Knowledge $knowledge): array
    {
        $plan = $edited->plan;
        $reach = $edited->reach();
        $nodes = $reach->nodes();
        $outputs = $reach->outputs();
        $links = $reach->links();
        $routes = self::withLoose($plan, $reach->routes(), $findings);

        return [
            'routes' => self::part('routes', RouteViews::of($plan, $knowledge, $routes), [], $reach->gone(ThingKind::Route)),
            'masters' => self::part('masters', MasterViews::of($plan, $outputs), $outputs, $reach->gone(ThingKind::Output)),
            'codeGrids' => self::part('codeGrids', CodeGrids::of($plan, $knowledge->media, $nodes), $nodes, $reach->gone(ThingKind::Node)),
            'panels' => self::part('panels', PanelViews::of($plan, $knowledge, $links), $links, $reach->gone(ThingKind::Link)),
            'pinTables' => self::part('pinTables', PinTables::of($plan, $knowledge->catalogue, $nodes), $nodes, $reach->gone(ThingKind::Node)),
        ];
    }

    /**
     * A route that has no sound way in the plan may find another, or lose it, by whatever is done anywhere.
     *
     * @param  list<Route>  $near
     * @return list<Route> in the order of the plan
     */
    private static function withLoose(Plan $plan, array $near, Findings $findings): array
    {
        $ids = array_flip([...array_map(static fn (Route $route): string => $route->id, $near), ...RouteWithoutPath::in($findings)]);

        return array_values(array_filter($plan->routes(), static fn (Route $route): bool => isset($ids[$route->id])));
    }

    /**
     * @param  list<array<string, mixed>>  $put
     * @param  list<Thing>  $owners  those that were looked at; one without a part has lost it, or never had one
     * @param  list<string>  $removed
     * @return array{put: list<array<string, mixed>>, gone: list<string>}
     */
    private static function part(string $list, array $put, array $owners, array $removed): array
    {
        $there = array_column($put, null, self::KEYS[$list]);
        $gone = array_filter(array_map(static fn (Thing $owner): string => $owner->id(), $owners), static fn (string $id): bool => ! isset($there[$id]));

        return ['put' => $put, 'gone' => [...array_values($gone), ...$removed]];
    }
}
