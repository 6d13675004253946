<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Lasting;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\Paths;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Routes\Step\PathStep;

/** A route whose hops do not lead from its control to its output. */
#[Finds('route-without-path', WorkStep::Routes)]
final readonly class RouteWithoutPath implements Lasting, RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $paths = $look->once(Paths::class, static fn (): Paths => new Paths($look->plan));

        return $paths->holds($route) ? [] : [self::finding($paths, $route, $look)];
    }

    private static function finding(Paths $paths, Route $route, Look $look): Finding
    {
        $proposed = $paths->propose($route);
        $name = RouteNames::of($look->plan, $route);
        if ($proposed === null) {
            return Finding::fault(
                "No way leads along {$name}",
                Spot::of($route, $name),
                'No chain of links joins the two nodes in the right direction: one end must send and the other receive.',
                'Put both nodes on one link, or join their links through a gateway.',
            );
        }
        $links = implode(', then ', array_map(static fn (Hop $hop): string => $look->plan->link($hop->linkId)->name, $proposed));

        return Finding::warning(
            "{$name} has no path yet",
            Spot::of($route, $name),
            'What is stored does not lead from the control to the output.',
            "The shortest way is over {$links}.",
            new Fix("Send it over {$links}", ...PathStep::operations($look->plan, $route, $proposed)),
            numbers: ['hops' => count($proposed)],
        );
    }
}
