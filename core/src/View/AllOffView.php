<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Arbitration\AllOff;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\AllOffOutputs;

/** What "all off" reaches. */
final readonly class AllOffView implements View
{
    public function key(): string
    {
        return 'all-off';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return AllOffOutputs::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): AllOffOutputs
    {
        return new AllOffOutputs(AllOff::of($plan));
    }
}
