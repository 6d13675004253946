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
        return [ThingKind::Node, ThingKind::Link, ThingKind::Control, ThingKind::Output, ThingKind::Route, ThingKind::Hop];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->hops() as $hop) {
            $medium = $knowledge->media->named($plan->link($hop->linkId)->medium);
            if ($hop->code === null && $medium instanceof HandsOutCodes && $medium->codes($plan, $hop) !== null) {
                $name = RouteNames::of($plan, $plan->route($hop->routeId));
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$name} has no command code yet",
                    Subject::of($hop, "{$name} over {$plan->link($hop->linkId)->name}", 'code'),
                    [],
                    'Both ends must agree on the number that stands for this command.',
                    'Assign gives it one that is free.',
                );
            }
        }
    }
}
