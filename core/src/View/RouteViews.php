<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Routes\Paths;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Timing\ReactionTime;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Segment;

/** Each route's way and reaction time, as screens show them. */
final readonly class RouteViews
{
    /**
     * @param  list<Route>|null  $routes  only these; null for all
     * @return list<array<string, mixed>> in the order of the plan
     */
    public static function of(Plan $plan, Knowledge $knowledge, ?array $routes = null): array
    {
        $paths = new Paths($plan);
        $timer = new ReactionTimer($plan, $knowledge);
        $views = [];
        foreach ($routes ?? $plan->routes() as $route) {
            $hops = [];
            foreach ($paths->hops($route) ?? [] as $hop) {
                $medium = $plan->link($hop->linkId)->medium;
                $hops[] = [
                    'linkId' => $hop->linkId,
                    'fromId' => $hop->fromId,
                    'toId' => $hop->toId,
                    'code' => self::code($plan, $hop, $knowledge->media->offering(SaysCommands::class, $medium)),
                    'address' => $knowledge->media->offering(HasAddresses::class, $medium)?->addressFor($plan, $hop)?->value,
                ];
            }
            $time = $timer->of($route);
            $views[] = [
                'routeId' => $route->id,
                'name' => RouteNames::of($plan, $route),
                'hops' => $hops,
                'arrives' => $paths->holds($route),
                'time' => $time === null ? null : self::time($time),
            ];
        }

        return $views;
    }

    private static function code(Plan $plan, Hop $hop, ?SaysCommands $sayings): ?string
    {
        return match (true) {
            $sayings !== null => $sayings->saying($plan, $hop),
            $hop->code === null => null,
            default => sprintf('0x%02X', $hop->code),
        };
    }

    /** @return array<string, mixed> */
    private static function time(ReactionTime $time): array
    {
        $worst = max(1, $time->worstNs());

        return [
            'best' => self::duration($time->bestNs()),
            'typical' => self::duration($time->typicalNs()),
            'worst' => self::duration($time->worstNs()),
            'segments' => array_map(static fn (Segment $segment): array => [
                'kind' => $segment->kind->value,
                'label' => $segment->label,
                'best' => self::duration($segment->bestNs),
                'typical' => self::duration($segment->typicalNs),
                'worst' => self::duration($segment->worstNs),
                'share' => $segment->worstNs / $worst,
            ], $time->segments),
        ];
    }

    /** The same few durations stand in thousands of routes. */
    private static function duration(int $nanoseconds): string
    {
        /** @var array<int, string> $words */
        static $words = [];

        return $words[$nanoseconds] ??= Figures::duration($nanoseconds);
    }
}
