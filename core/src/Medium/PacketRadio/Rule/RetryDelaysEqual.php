<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\RetryClash;
use Rundfunk\Medium\PacketRadio\RetryDelay;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** Two senders whose retries keep step: having collided once, they collide until both give up. */
#[Finds('packet-retry-delays-equal', WorkStep::Links)]
final readonly class RetryDelaysEqual implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = PacketSettings::of($link);
        if (! $settings->acknowledge) {
            return;
        }
        $clash = RetryClash::of($settings);
        $delays = [];
        foreach ($look->plan->sendersOn($link) as $end) {
            $delay = (new Values($end->settings))->wholeOrNull('retryDelayUs');
            if ($delay !== null) {
                $delays[] = ['end' => $end, 'delay' => $delay];
            }
        }
        yield from $this->pairs($look->plan, $link, $delays, $clash, RetryDelay::minimumUs($settings->rate, 0));
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
                yield Finding::of(
                    $crowded ? Severity::Advice : Severity::Warning,
                    $one['delay'] === $other['delay'] ? "{$first} and {$second} retry in step" : "{$first} and {$second} retry almost in step",
                    Spot::of($other['end'], "{$second} on {$link->name}", 'retryDelayUs'),
                    'One exchange takes '.Figures::significant($clash->exchangeUs()).' µs. Pressed at once, the two collide, wait '
                        .($one['delay'] === $other['delay'] ? "the same {$one['delay']} µs" : "{$one['delay']} and {$other['delay']} µs").' and collide again.',
                    $crowded ? 'There are more senders than delays that keep apart: let the receiver ask them in turn, or spread them over two links.' : "A difference of {$clash->leastDifferenceUs()} µs parts them within ".RetryClash::SOON.' retries.',
                    $next === null ? null : Fix::settings("Set {$next} µs on {$second}", $other['end'], ['retryDelayUs' => $next]),
                    numbers: ['first_us' => $one['delay'], 'second_us' => $other['delay'], 'exchange_us' => $clash->exchangeUs(), 'least_difference_us' => $clash->leastDifferenceUs()],
                    about: [$one['end']->id, $other['end']->id],
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
