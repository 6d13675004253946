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
use Rundfunk\Plan\Link;
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
            yield from self::on($plan, $link);
        }
    }

    /** @return iterable<Proposal> delays that keep the senders of one link apart */
    public static function on(Plan $plan, Link $link): iterable
    {
        $settings = PacketSettings::of($link);
        if (! $settings->acknowledge) {
            return;
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
        $given = self::togetherApart($plan, $link, $minimum, $clash, self::greedily(count($open), $minimum, $kept, $clash));
        foreach ($given === null ? $open : array_keys($given) as $which) {
            $endpoint = is_string($which) ? $plan->endpoint($which) : $which;
            $delay = $given[$endpoint->id] ?? self::choose($minimum, $kept, $clash);
            $before = (new Values($endpoint->settings))->wholeOrNull('retryDelayUs');
            if ($delay === $before) {
                continue;
            }
            $kept[] = $delay;
            $node = $plan->node($endpoint->nodeId);
            yield new Proposal(
                Stage::End,
                Spot::of($endpoint, "{$node->name} on {$link->name}", 'retryDelayUs'),
                "Retry delay of {$node->name} on {$link->name}",
                $before === null ? null : "{$before} µs",
                "{$delay} µs",
                "At least {$minimum} µs for the acknowledge at {$settings->rate->words()}, and apart from the other senders within ".RetryClash::SOON.' retries.',
                [Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['retryDelayUs' => $delay]])],
            );
        }
    }

    /**
     * Whether so many more find a delay apart from those that are kept, one after another.
     *
     * @param  list<int>  $kept
     */
    private static function greedily(int $count, int $minimum, array $kept, RetryClash $clash): bool
    {
        for (; $count > 0; $count--) {
            $delay = self::choose($minimum, $kept, $clash);
            if (! self::apart($delay, $kept, $clash)) {
                return false;
            }
            $kept[] = $delay;
        }

        return true;
    }

    /**
     * Where they do not one after another, all that may move are looked at together: one that could stay may be in the way of
     * two. There are sixteen delays, so every choice among them is tried.
     *
     * @param  bool  $isEnough  they found room one after another
     * @return array<string, int>|null delays by id of the end, those that change alone; null where nothing better is to be had
     */
    private static function togetherApart(Plan $plan, Link $link, int $minimum, RetryClash $clash, bool $isEnough): ?array
    {
        if ($isEnough) {
            return null;
        }
        $pinned = [];
        $free = [];
        foreach ($plan->sendersOn($link) as $endpoint) {
            $delay = (new Values($endpoint->settings))->wholeOrNull('retryDelayUs');
            if ($delay !== null && $endpoint->pins('retryDelayUs')) {
                $pinned[] = $delay;
            } else {
                $free[$endpoint->id] = $delay;
            }
        }
        $candidates = array_values(array_filter(range($minimum, RetryDelay::LONGEST_US, RetryDelay::STEP_US), static fn (int $delay): bool => self::apart($delay, $pinned, $clash)));
        $best = self::set($candidates, count($free), array_count_values(array_filter($free, is_int(...))), $clash);
        if ($best === null) {
            return null;
        }
        $changed = [];
        $left = array_fill_keys($best, true);
        foreach ($free as $id => $delay) {
            if ($delay !== null && isset($left[$delay])) {
                unset($left[$delay]);
            } else {
                $changed[] = $id;
            }
        }

        return array_combine($changed, array_slice(array_keys($left), 0, count($changed)));
    }

    /**
     * @param  list<int>  $candidates  rising
     * @param  array<int, int>  $held  delays that some have already
     * @return list<int>|null so many that are all apart, of those the ones that most have already, then the lowest
     */
    private static function set(array $candidates, int $size, array $held, RetryClash $clash): ?array
    {
        if ($size > count($candidates)) {
            return null;
        }
        $best = null;
        $most = -1;
        foreach (self::grown([], $candidates, $size, $clash) as $chosen) {
            $kept = count(array_filter($chosen, static fn (int $delay): bool => isset($held[$delay])));
            if ($kept > $most) {
                [$best, $most] = [$chosen, $kept];
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $chosen
     * @param  list<int>  $left  candidates above these
     * @return iterable<list<int>> every way of choosing so many that are apart
     */
    private static function grown(array $chosen, array $left, int $size, RetryClash $clash): iterable
    {
        if (count($chosen) === $size) {
            yield $chosen;

            return;
        }
        foreach ($left as $at => $delay) {
            if (count($left) - $at >= $size - count($chosen) && self::apart($delay, $chosen, $clash)) {
                yield from self::grown([...$chosen, $delay], array_slice($left, $at + 1), $size, $clash);
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
