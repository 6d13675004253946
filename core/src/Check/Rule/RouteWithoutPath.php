<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Assign\PathStep;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Findings;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearbyFirst;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Path\Paths;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** A route whose hops do not lead from its control to its output. */
final readonly class RouteWithoutPath implements LooksNearbyFirst
{
    private const KEY = 'route-without-path';

    /** @return list<string> ids of the routes that lead nowhere, in what was found */
    public static function in(Findings $findings): array
    {
        return array_map(static fn (Finding $finding): string => $finding->at->id, $findings->byRule()[self::KEY] ?? []);
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $paths = new Paths($plan);
        foreach ($plan->routes() as $route) {
            if ($paths->holds($route)) {
                continue;
            }
            $proposed = $paths->propose($route);
            $name = RouteNames::of($plan, $route);
            if ($proposed === null) {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "No way leads along {$name}",
                    Subject::of($route, $name),
                    [],
                    'No chain of links joins the two nodes in the right direction: one end must send and the other receive.',
                    'Put both nodes on one link, or join their links through a gateway.',
                );
            } else {
                $links = implode(', then ', array_map(static fn (Hop $hop): string => $plan->link($hop->linkId)->name, $proposed));
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$name} has no path yet",
                    Subject::of($route, $name),
                    ['hops' => count($proposed)],
                    'What is stored does not lead from the control to the output.',
                    "The shortest way is over {$links}.",
                    new Fix("Send it over {$links}", ...PathStep::operations($plan, $route, $proposed)),
                );
            }
        }
    }
}
