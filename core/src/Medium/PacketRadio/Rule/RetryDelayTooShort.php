<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\RetryDelay;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\ThingKind;

final readonly class RetryDelayTooShort extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-retry-delay-too-short';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            foreach ($settings->acknowledge ? self::senders($plan, $link) : [] as $end) {
                $delay = (new Values($end->settings))->wholeOrNull('retryDelayUs');
                $minimum = RetryDelay::minimumUs($settings->rate, 0);
                $odd = $delay !== null && $delay % RetryDelay::STEP_US !== 0;
                if ($delay === null || ($delay >= $minimum && ! $odd)) {
                    continue;
                }
                $name = $plan->node($end->nodeId)->name;
                $ackUs = Figures::significant($settings->air()->acknowledgeNs() / 1000);
                $next = max($minimum, (int) ceil($delay / RetryDelay::STEP_US) * RetryDelay::STEP_US);
                yield new Finding(
                    $this->key(),
                    $odd && $delay >= $minimum ? Severity::Warning : Severity::Fault,
                    $odd && $delay >= $minimum ? "{$delay} µs is no step of the retry delay" : 'Retry delay too short for the acknowledge',
                    Subject::of($end, "{$name} on {$link->name}", 'retryDelayUs'),
                    ['retry_delay_us' => $delay, 'minimum_us' => $minimum],
                    $odd && $delay >= $minimum
                        ? 'The part counts in steps of 250 µs and will use another value than the plan says.'
                        : "{$delay} µs leaves no room: an empty acknowledge at {$settings->rate->words()} takes {$ackUs} µs after a 130 µs turn. {$name} sends again while the answer is still coming, and both are lost.",
                    "Use {$next} µs or more.",
                    new Fix("Set {$next} µs", Operation::change(ThingKind::Endpoint, $end->id, ['settings' => ['retryDelayUs' => $next]])),
                );
            }
        }
    }
}
