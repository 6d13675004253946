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
use Rundfunk\Medium\PacketRadio\RetryClash;
use Rundfunk\Medium\PacketRadio\RetryDelay;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\ThingKind;

/** Two senders whose retries keep step: having collided once, they collide until both give up. */
final readonly class RetryDelaysEqual extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-retry-delays-equal';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            if (! $settings->acknowledge) {
                continue;
            }
            $clash = RetryClash::of($settings);
            $delays = [];
            foreach (self::senders($plan, $link) as $end) {
                $delay = (new Values($end->settings))->wholeOrNull('retryDelayUs');
                if ($delay !== null) {
                    $delays[] = ['end' => $end, 'delay' => $delay];
                }
            }
            yield from $this->pairs($plan, $link, $delays, $clash, RetryDelay::minimumUs($settings->rate, 0));
        }
    }

    /**
     * @param  list<array{end: Endpoint, delay: int}>  $delays
     * @return iterable<Finding>
     */
    private function pairs(Plan $plan, Link $link, array $delays, RetryClash $clash, int $minimum): iterable
    {
        $room = intdiv(RetryDelay::LONGEST_US - $minimum, max(RetryDelay::STEP_US, $clash->leastDifferenceUs())) + 1;
        foreach ($delays as $index => $one) {
            foreach (array_slice($delays, $index + 1) as $other) {
                if ($clash->apartAfter($one['delay'], $other['delay']) !== null) {
                    continue;
                }
                $first = $plan->node($one['end']->nodeId)->name;
                $second = $plan->node($other['end']->nodeId)->name;
                $crowded = count($delays) > $room;
                $next = $crowded ? null : self::free($delays, $other['end'], $clash, $minimum);
                yield new Finding(
                    $this->key(),
                    $crowded ? Severity::Advice : Severity::Warning,
                    $one['delay'] === $other['delay'] ? "{$first} and {$second} retry in step" : "{$first} and {$second} retry almost in step",
                    Subject::of($other['end'], "{$second} on {$link->name}", 'retryDelayUs'),
                    ['first_us' => $one['delay'], 'second_us' => $other['delay'], 'exchange_us' => $clash->exchangeUs(), 'least_difference_us' => $clash->leastDifferenceUs()],
                    'One exchange takes '.Figures::significant($clash->exchangeUs()).' µs. Pressed at once, the two collide, wait '
                        .($one['delay'] === $other['delay'] ? "the same {$one['delay']} µs" : "{$one['delay']} and {$other['delay']} µs").' and collide again.',
                    $crowded ? 'There are more senders than delays that keep apart: let the receiver ask them in turn, or spread them over two links.' : "A difference of {$clash->leastDifferenceUs()} µs parts them within ".RetryClash::SOON.' retries.',
                    $next === null ? null : new Fix("Set {$next} µs on {$second}", Operation::change(ThingKind::Endpoint, $other['end']->id, ['settings' => ['retryDelayUs' => $next]])),
                    [$one['end']->id, $other['end']->id],
                );
            }
        }
    }

    /** @param  list<array{end: Endpoint, delay: int}>  $delays */
    private static function free(array $delays, Endpoint $for, RetryClash $clash, int $minimum): ?int
    {
        for ($delay = $minimum; $delay <= RetryDelay::LONGEST_US; $delay += RetryDelay::STEP_US) {
            $clashing = array_filter($delays, static fn (array $other): bool => $other['end']->id !== $for->id && $clash->apartAfter($delay, $other['delay']) === null);
            if ($clashing === []) {
                return $delay;
            }
        }

        return null;
    }
}
