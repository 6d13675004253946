<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\RetryDelay;

#[Finds('packet-retry-delay-too-short', WorkStep::Links)]
final readonly class RetryDelayTooShort implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = PacketSettings::of($end->link);
        $delay = $settings->acknowledge && $end->endpoint->role->sends() ? $end->settings()->wholeOrNull('retryDelayUs') : null;
        $minimum = RetryDelay::minimumUs($settings->rate, 0);
        $odd = $delay !== null && $delay % RetryDelay::STEP_US !== 0;
        if ($delay === null || ($delay >= $minimum && ! $odd)) {
            return [];
        }
        $name = $end->node->name;
        $ackUs = Figures::significant($settings->air()->acknowledgeNs() / 1000);
        $next = max($minimum, (int) ceil($delay / RetryDelay::STEP_US) * RetryDelay::STEP_US);

        return [Finding::of(
            $odd && $delay >= $minimum ? Severity::Warning : Severity::Fault,
            $odd && $delay >= $minimum ? "{$delay} µs is no step of the retry delay" : 'Retry delay too short for the acknowledge',
            $end->at('retryDelayUs'),
            $odd && $delay >= $minimum
                ? 'The part counts in steps of 250 µs and will use another value than the plan says.'
                : "{$delay} µs leaves no room: an empty acknowledge at {$settings->rate->words()} takes {$ackUs} µs after a 130 µs turn. {$name} sends again while the answer is still coming, and both are lost.",
            "Use {$next} µs or more.",
            Fix::settings("Set {$next} µs", $end->endpoint, ['retryDelayUs' => $next]),
            numbers: ['retry_delay_us' => $delay, 'minimum_us' => $minimum],
        )];
    }
}
