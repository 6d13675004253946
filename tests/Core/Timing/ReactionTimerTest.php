<?php

declare(strict_types=1);

namespace Tests\Core\Timing;

use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\Timeline;
use Tests\Core\CoreTestCase;

final class ReactionTimerTest extends CoreTestCase
{
    private static function time(Sketch $sketch, string $route): Timeline
    {
        $plan = $sketch->plan();

        return (new ReactionTimer($plan, self::knowledge()))->of($plan->route($sketch->id($route))) ?? self::fail('no way');
    }

    private static function air(bool $acknowledge = true): Sketch
    {
        return self::pair()->link('l', 'Air', 'packet-radio', ['acknowledge' => $acknowledge, 'payloadBytes' => 8])
            ->join('l', 'hand', Role::Sends, 'hand-radio', ['retryDelayUs' => 500, 'retries' => 12])
            ->join('l', 'board', Role::Receives, 'board-radio')
            ->control('k', 'hand', 'Key')
            ->output('o', 'board', 'Lamp', OutputKind::Relay, 'board-relays', 'IN1')
            ->route('k', Action::On, 'o');
    }

    public function test_the_stretches_of_one_hop_add_up_by_hand(): void
    {
        $time = self::time(self::air(), 'k o on');
        // best: 20 ms debounce + 18 µs upload + 130 µs turn + 548 µs frame + 4 ms relay
        self::assertSame(20_000_000 + 18_000 + 130_000 + 548_000 + 4_000_000, $time->bestNs());
        // typical: + 2 ms in each of two loops, and 8 ms for the relay
        self::assertSame(20_000_000 + 2_000_000 + 696_000 + 2_000_000 + 8_000_000, $time->typicalNs());
        // worst: + 10 ms in each loop, 12 retries of 548 + 500 µs, and 15 ms for the relay
        self::assertSame(20_000_000 + 10_000_000 + 696_000 + 12 * 1_048_000 + 10_000_000 + 15_000_000, $time->worstNs());
    }

    public function test_without_acknowledge_it_may_be_the_third_that_arrives(): void
    {
        $again = array_values(array_filter(self::time(self::air(false), 'k o on')->spans, static fn (Span $span): bool => $span->kind === SpanKind::Retries));
        // Twice more: upload 18, turn 130, frame 548 µs.
        self::assertSame([[0, 0, 2 * 696_000]], array_map(static fn (Span $span): array => [$span->bestNs, $span->typicalNs, $span->worstNs], $again));
    }

    public function test_the_second_node_of_one_press_waits_for_the_first(): void
    {
        $sketch = self::air()
            ->node('board2', 'Second', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('board2-radio', 'board2', 'packet-radio-plain', 'Radio')
            ->join('l', 'board2', Role::Receives, 'board2-radio')
            ->output('p', 'board2', 'Fan')->route('k', Action::On, 'p');
        $waits = static fn (string $route): array => array_values(array_filter(self::time($sketch, $route)->spans, static fn (Span $span): bool => $span->label === 'another node first'));
        self::assertSame([], $waits('k o on'));
        // upload 18 + turn 130 + frame 548 + turn 130 + acknowledge 292 µs; at worst upload + turn + 13 frames + 13 waits
        self::assertSame(1_118_000, $waits('k p on')[0]->bestNs);
        self::assertSame(148_000 + 13 * 548_000 + 13 * 500_000, $waits('k p on')[0]->worstNs);
    }

    public function test_best_is_never_above_typical_nor_typical_above_worst(): void
    {
        $plan = self::linden();
        $timer = new ReactionTimer($plan, self::knowledge());
        foreach ($plan->routes() as $route) {
            foreach ($timer->of($route)->spans ?? [] as $span) {
                self::assertLessThanOrEqual($span->typicalNs, $span->bestNs, $span->label);
                self::assertLessThanOrEqual($span->worstNs, $span->typicalNs, $span->label);
            }
        }
    }
}
