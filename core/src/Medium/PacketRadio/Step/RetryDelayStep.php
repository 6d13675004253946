<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\RetryClash;
use Rundfunk\Medium\PacketRadio\RetryDelay;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Values;

/** Retry delays: long enough for the acknowledge, and different enough that two senders that collide come apart. */
final readonly class RetryDelayStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            if (! $settings->acknowledge) {
                continue;
            }
            $minimum = RetryDelay::minimumUs($settings->rate, 0);
            $clash = RetryClash::of($settings);
            $kept = [];
            $open = [];
            foreach (self::pinnedFirst($plan->endpointsOn($link)) as $endpoint) {
                if (! $endpoint->role->sends()) {
                    continue;
                }
                $delay = (new Values($endpoint->settings))->wholeOrNull('retryDelayUs');
                $legal = $delay !== null && $delay >= $minimum && $delay % RetryDelay::STEP_US === 0 && self::apart($delay, $kept, $clash);
                if ($delay !== null && ($legal || $endpoint->pins('retryDelayUs'))) {
                    $kept[] = $delay;
                } else {
                    $open[] = $endpoint;
                }
            }
            foreach ($open as $endpoint) {
                $delay = self::choose($minimum, $kept, $clash);
                $before = (new Values($endpoint->settings))->wholeOrNull('retryDelayUs');
                if ($delay === $before) {
                    continue;
                }
                $kept[] = $delay;
                $node = $plan->node($endpoint->nodeId);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($endpoint, "{$node->name} on {$link->name}", 'retryDelayUs'),
                    "Retry delay of {$node->name} on {$link->name}",
                    $before === null ? null : "{$before} µs",
                    "{$delay} µs",
                    "At least {$minimum} µs for the acknowledge at {$settings->rate->words()}, and apart from the other senders within ".RetryClash::SOON.' retries.',
                    [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['retryDelayUs' => $delay]])],
                );
            }
        }
    }

    /** @param  list<int>  $kept */
    private static function choose(int $minimum, array $kept, RetryClash $clash): int
    {
        for ($delay = $minimum; $delay <= RetryDelay::LONGEST_US; $delay += RetryDelay::STEP_US) {
            if (self::apart($delay, $kept, $clash)) {
                return $delay;
            }
        }

        // More senders than distinct delays: any legal one, and the finding says to poll instead.
        return $minimum;
    }

    /** @param  list<int>  $kept */
    private static function apart(int $delay, array $kept, RetryClash $clash): bool
    {
        foreach ($kept as $other) {
            if ($clash->apartAfter($delay, $other) === null) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<Endpoint>  $endpoints
     * @return list<Endpoint>
     */
    private static function pinnedFirst(array $endpoints): array
    {
        usort($endpoints, static fn (Endpoint $a, Endpoint $b): int => $b->pins('retryDelayUs') <=> $a->pins('retryDelayUs'));

        return $endpoints;
    }
}
