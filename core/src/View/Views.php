<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Check\Findings;
use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
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
        $impact = $edited->impact();
        $nodes = $impact->on(Node::class);
        $outputs = $impact->on(Output::class);
        $links = $impact->on(Link::class);
        $routes = self::withOthers($plan, $impact->on(Route::class), $impact->on(Control::class), $findings);

        return [
            'routes' => self::part('routes', RouteViews::of($plan, $knowledge, $routes), [], $impact->gone(ThingKind::Route)),
            'masters' => self::part('masters', MasterViews::of($plan, $outputs), $outputs, $impact->gone(ThingKind::Output)),
            'codeGrids' => self::part('codeGrids', CodeGrids::of($plan, $knowledge->media, $nodes), $nodes, $impact->gone(ThingKind::Node)),
            'panels' => self::part('panels', PanelViews::of($plan, $knowledge, $links), $links, $impact->gone(ThingKind::Link)),
            'pinTables' => self::part('pinTables', PinTables::of($plan, $knowledge->catalogue, $nodes), $nodes, $impact->gone(ThingKind::Node)),
        ];
    }

    /**
     * A route that has no sound way in the plan may find another, or lose it, by whatever is done anywhere; and how long one
     * takes hangs on how many others the same press sets off before it.
     *
     * @param  list<Route>  $near
     * @param  list<Control>  $controls
     * @return list<Route> in the order of the plan
     */
    private static function withOthers(Plan $plan, array $near, array $controls, Findings $findings): array
    {
        $ids = array_flip([...array_map(static fn (Route $route): string => $route->id, $near), ...$findings->subjectsOf('route-without-path')]);
        foreach ($controls as $control) {
            foreach ($plan->routesFrom($control) as $route) {
                $ids[$route->id] = true;
            }
        }

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
