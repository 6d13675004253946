<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\KeepsMessages;

/** A text waits in the network or in the modem until somebody reads it; a call that nobody takes is over. Source: 3GPP TS 23.040, store and forward. */
final readonly class CellularKept implements KeepsMessages
{
    public function keeps(Plan $plan, Hop $hop): bool
    {
        return $plan->control($plan->route($hop->routeId)->controlId)->kind === ControlKind::Text;
    }
}
