<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;

/** Boxes that are told together, by the id that everybody hears: nobody answers that. */
final readonly class SerialBroadcast implements HeardTogether
{
    public function hearers(Plan $plan, Endpoint $to): array
    {
        if (! $to->means(Deliberate::Broadcast)) {
            return [$to];
        }
        $hearers = array_values(array_filter($plan->receiversOn($plan->link($to->linkId)), static fn (Endpoint $other): bool => $other->means(Deliberate::Broadcast)));

        return $hearers === [] ? [$to] : $hearers;
    }
}
