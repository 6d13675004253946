<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Assign\PathStep;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
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
final readonly class RouteWithoutPath implements Rule
{
    public function key(): string
    {
        return 'route-without-path';
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
