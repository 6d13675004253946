<?php

declare(strict_types=1);

namespace Tests\Core\Timing;

use InvalidArgumentException;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\Timeline;
use Tests\Core\CoreTestCase;

/** A timeline sums to what it plays between. */
final class TimelineTest extends CoreTestCase
{
    public function test_whatever_is_played_lies_between_the_best_and_the_worst_of_every_route(): void
    {
        $chance = new Randomizer(new Mt19937(7));
        $played = 0;
        foreach ([self::linden(), self::faulty()] as $plan) {
            $timer = new ReactionTimer($plan, self::knowledge());
            foreach ($plan->routes() as $route) {
                $timeline = $timer->of($route);
                for ($round = 0; $timeline !== null && $round < 40; $round++) {
                    $atNs = 0;
                    foreach ($timeline->played($chance, [0.0, 0.1, 1.0][$round % 3]) as $one) {
                        self::assertSame($atNs, $one->fromNs, 'One begins where the other ends.');
                        $atNs = $one->toNs;
                        self::assertGreaterThanOrEqual($one->span->bestNs, $one->toNs - $one->fromNs, $one->span->label);
                        self::assertLessThanOrEqual($one->span->worstNs, $one->toNs - $one->fromNs, $one->span->label);
                    }
                    self::assertGreaterThanOrEqual($timeline->bestNs(), $atNs);
                    self::assertLessThanOrEqual($timeline->worstNs(), $atNs);
                    $played++;
                }
            }
        }
        self::assertGreaterThan(5_000, $played);
    }

    public function test_nothing_comes_again_where_nothing_is_lost_and_all_of_it_where_all_is(): void
    {
        $timeline = new Timeline([Span::fixed(SpanKind::Airtime, 'frame', 100), Span::again('again', 3, 50)]);
        $chance = new Randomizer(new Mt19937(1));
        $last = static fn (float $loss): int => $timeline->played($chance, $loss)[1]->toNs;
        self::assertSame([100, 250], [$last(0.0), $last(1.0)]);
        // A third is lost each time: on average a third, a ninth and a twenty-seventh of 50 ns more (geometric series).
        $sum = 0;
        for ($round = 0; $round < 20_000; $round++) {
            $sum += $last(1 / 3);
        }
        self::assertEqualsWithDelta(100 + 50 * (1 / 3 + 1 / 9 + 1 / 27), $sum / 20_000, 0.6);
    }

    public function test_what_is_typical_is_the_median_of_what_is_left_to_chance(): void
    {
        $span = Span::between(SpanKind::Waiting, 'turn', 0, 200, 1_000);
        $chance = new Randomizer(new Mt19937(3));
        $drawn = array_map(static fn (): int => $span->played($chance, 0.0), range(1, 20_001));
        sort($drawn);
        self::assertEqualsWithDelta(200, $drawn[10_000], 8);
    }

    public function test_of_several_it_is_each_at_times(): void
    {
        $span = Span::oneOf(SpanKind::Airtime, 'frame', [10, 30, 80]);
        $chance = new Randomizer(new Mt19937(3));
        $drawn = array_map(static fn (): int => $span->played($chance, 0.0), range(1, 200));
        sort($drawn);
        self::assertSame([10, 30, 80], array_values(array_unique($drawn)));
        self::assertSame([10, 40, 80], [$span->bestNs, $span->typicalNs, $span->worstNs]);
    }

    public function test_a_span_out_of_order_is_a_mistake_of_ours(): void
    {
        $this->expectException(InvalidArgumentException::class);
        Span::between(SpanKind::Waiting, 'turn', 5, 3, 9);
    }
}
