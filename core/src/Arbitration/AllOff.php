<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;

/** What "all off" means: every output that something can put on. A message is sent and gone; there is nothing to put off. */
final readonly class AllOff
{
    /** @return list<Output> */
    public static function of(Plan $plan): array
    {
        return array_values(array_filter($plan->outputs(), static fn (Output $output): bool => self::reaches($plan, $output)));
    }

    public static function reaches(Plan $plan, Output $output): bool
    {
        if ($output->kind === OutputKind::Message) {
            return false;
        }
        foreach ($plan->routesTo($output) as $route) {
            if (! $route->putsOff()) {
                return true;
            }
        }

        return false;
    }
}
