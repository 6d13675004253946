<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\HandsOutCodes;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class CodeMissing implements LooksNearby
{
    public function key(): string
    {
        return 'code-missing';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->links() as $link) {
            $medium = $knowledge->media->named($link->medium);
            if (! $medium instanceof HandsOutCodes) {
                continue;
            }
            foreach ($plan->hopsOver($link) as $hop) {
                if ($hop->code !== null || $medium->codes($plan, $hop) === null) {
                    continue;
                }
                $name = RouteNames::of($plan, $plan->route($hop->routeId));
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$name} has no command code yet",
                    Subject::of($hop, "{$name} over {$link->name}", 'code'),
                    [],
                    'Both ends must agree on the number that stands for this command.',
                    'Assign gives it one that is free.',
                );
            }
        }
    }
}
