<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Behaviour\Schools;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Routes\Paths;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\Timeline;
use Rundfunk\View\Shown\RouteAnswer;
use Rundfunk\View\Shown\RouteHop;
use Rundfunk\View\Shown\RouteTime;
use Rundfunk\View\Shown\RouteWay;
use Rundfunk\View\Shown\TimeSegment;

/** A route's way and reaction time. How long it takes hangs on what else the same press sets off. */
final readonly class RouteWayView implements LooksFar, View
{
    public function key(): string
    {
        return 'route-way';
    }

    public function owner(): string
    {
        return Route::class;
    }

    public function shape(): string
    {
        return RouteWay::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): RouteWay
    {
        $route = $plan->route($of);
        $paths = new Paths($plan);
        $time = (new ReactionTimer($plan, $knowledge))->of($route);

        return new RouteWay(
            $paths->holds($route),
            array_map(static fn (Hop $hop): RouteHop => self::hop($plan, $hop, $knowledge), $paths->hops($route) ?? []),
            $time === null ? null : self::time($time),
            self::answer($plan, $route, $knowledge),
        );
    }

    private static function hop(Plan $plan, Hop $hop, Knowledge $knowledge): RouteHop
    {
        $medium = $plan->link($hop->linkId)->medium;
        $sayings = $knowledge->media->offering(SaysCommands::class, $medium);
        $plain = $hop->code === null ? null : sprintf('0x%02X', $hop->code);
        $code = $sayings?->saying($plan, $hop) ?? $plain;

        return new RouteHop($hop->linkId, $hop->fromId, $hop->toId, $code, $knowledge->media->offering(HasAddresses::class, $medium)?->addressFor($plan, $hop)?->value);
    }

    private static function answer(Plan $plan, Route $route, Knowledge $knowledge): ?RouteAnswer
    {
        $schools = Schools::of($plan, $route, $knowledge);
        if ($schools === null) {
            return null;
        }
        $believed = $schools->shown === null ? 0 : Answers::believedMs($plan, $schools->shown);

        return new RouteAnswer(
            $schools->state?->name,
            $schools->shown?->name,
            $schools->state?->measuredId !== null,
            $believed === 0 ? null : Figures::duration($believed * 1_000_000),
            Figures::duration($schools->asked->worstNs()),
            Figures::duration($schools->asked->airtimeNs()),
            Figures::duration($schools->asked->worstNs() + $schools->answered->worstNs()),
            Figures::duration($schools->asked->airtimeNs() + $schools->answered->airtimeNs()),
            Schools::advice($plan, $route),
        );
    }

    private static function time(Timeline $time): RouteTime
    {
        $worst = max(1, $time->worstNs());

        return new RouteTime(
            Figures::duration($time->bestNs()),
            Figures::duration($time->typicalNs()),
            Figures::duration($time->worstNs()),
            array_map(static fn (Span $span): TimeSegment => new TimeSegment(
                $span->kind,
                $span->label,
                Figures::duration($span->bestNs),
                Figures::duration($span->typicalNs),
                Figures::duration($span->worstNs),
                $span->worstNs / $worst,
            ), $time->spans),
        );
    }
}
