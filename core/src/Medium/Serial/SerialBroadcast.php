<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;

/** Boxes that are told together, by the id that everybody hears: nobody answers that. */
final readonly class SerialBroadcast implements HeardTogether
{
    public function hearers(Plan $plan, Endpoint $to): array
    {
        $link = $plan->link($to->linkId);
        $line = SerialLine::of($plan, $link);
        $hearers = $line->isToldTogether($to) ? array_values(array_filter($plan->receiversOn($link), $line->isToldTogether(...))) : [];

        return $hearers === [] ? [$to] : $hearers;
    }
}
