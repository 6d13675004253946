<?php

declare(strict_types=1);

namespace Tests\Core\View;

use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Rundfunk\View\LineMap;
use Tests\Core\CoreTestCase;

final class LineMapTest extends CoreTestCase
{
    public function test_every_node_is_a_post_and_every_endpoint_a_stop(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $map = LineMap::of($plan, self::knowledge()->media);
            self::assertCount(count($plan->nodes()), $map->posts);
            $stops = array_merge(...array_map(static fn (array $line): array => array_column($line['stops'], 'endpointId'), $map->lines));
            self::assertCount(count($plan->endpoints()), array_unique($stops));
        }
    }

    public function test_posts_of_one_place_stand_together(): void
    {
        $places = array_column(LineMap::of(self::linden(), self::knowledge()->media)->posts, 'placeId');
        $runs = 1;
        for ($post = 1; $post < count($places); $post++) {
            $runs += $places[$post] === $places[$post - 1] ? 0 : 1;
        }
        self::assertSame(count(array_unique($places)), $runs);
    }

    public function test_a_bar_does_not_cross_a_line_it_is_not_on_when_that_can_be_avoided(): void
    {
        // Three links; B is on the first and the third, A and C on the second: B must not stand between A and C.
        $sketch = self::sketch();
        foreach (['A', 'B', 'C', 'D', 'E'] as $name) {
            $sketch->node($name, $name, NodeKind::Controller, null, null);
        }
        $sketch->link('1', 'One', 'packet-radio')->join('1', 'B', Role::Both)->join('1', 'D', Role::Both)
            ->link('2', 'Two', 'packet-radio')->join('2', 'A', Role::Both)->join('2', 'C', Role::Both)
            ->link('3', 'Three', 'packet-radio')->join('3', 'B', Role::Both)->join('3', 'E', Role::Both);
        $order = array_flip(array_map(static fn (array $post): string => $post['nodeId'], LineMap::of($sketch->plan(), self::knowledge()->media)->posts));
        [$a, $b, $c] = [$order[$sketch->id('A')], $order[$sketch->id('B')], $order[$sketch->id('C')]];
        self::assertFalse(min($a, $c) < $b && $b < max($a, $c));
    }
}
