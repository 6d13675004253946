<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\RouteNames;

#[Finds('code-missing', WorkStep::Routes)]
final readonly class CodeMissing implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->hop->code !== null || $look->media->offering(HandsOutCodes::class, $leg->link->medium)?->codes($look->plan, $leg->hop) === null) {
            return [];
        }
        $name = RouteNames::of($look->plan, $leg->route);

        return [Finding::warning(
            "{$name} has no command code yet",
            Spot::of($leg->hop, "{$name} over {$leg->link->name}", 'code'),
            'Both ends must agree on the number that stands for this command.',
            'Assign gives it one that is free.',
        )];
    }
}
