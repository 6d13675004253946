<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\Paths;
use Rundfunk\Routes\RouteNames;

/** The links a route goes over. */
final readonly class PathStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Path;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $paths = new Paths($plan);
        foreach ($plan->routes() as $route) {
            $hops = $paths->holds($route) ? null : $paths->propose($route);
            if ($hops === null) {
                continue;
            }
            $links = implode(', then ', array_map(static fn (Hop $hop): string => $plan->link($hop->linkId)->name, $hops));
            $name = RouteNames::of($plan, $route);
            yield new Proposal(
                $this->stage(),
                Spot::of($route, $name),
                "Path of {$name}",
                $plan->hopsOf($route) === [] ? null : 'one that does not arrive',
                $hops === [] ? 'inside the node' : $links,
                'The way with the fewest hops.',
                self::operations($plan, $route, $hops),
            );
        }
    }

    /**
     * @param  list<Hop>  $hops
     * @return list<Operation>
     */
    public static function operations(Plan $plan, Route $route, array $hops): array
    {
        return [
            ...array_map(static fn (Hop $hop): Operation => Operation::remove(ThingKind::Hop, $hop->id), $plan->hopsOf($route)),
            ...array_map(Operation::add(...), $hops),
        ];
    }
}
