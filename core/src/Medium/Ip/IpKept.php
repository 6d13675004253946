<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\KeepsMessages;

/** A broker hands the last command on to those who come later, where it is asked to keep it. Source: MQTT 3.1.1, 3.3.1.3, retained messages. */
final readonly class IpKept implements KeepsMessages
{
    public function keeps(Plan $plan, Hop $hop): bool
    {
        return IpSettings::of($plan->link($hop->linkId))->retainCommands;
    }
}
