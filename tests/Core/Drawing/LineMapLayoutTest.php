<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Rundfunk\Demo\Sketch;
use Rundfunk\Drawing\LineMap;
use Rundfunk\Drawing\LineMapLayout;
use Rundfunk\Drawing\MapBand;
use Rundfunk\Drawing\MapLine;
use Rundfunk\Drawing\MapPost;
use Rundfunk\Drawing\MapStop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

final class LineMapLayoutTest extends CoreTestCase
{
    private static function map(Plan $plan, int $width = 900): LineMap
    {
        return (new LineMapLayout($plan, self::knowledge()->media))->on($width);
    }

    /** So many nodes in a row, four to a place. */
    private static function row(int $count): Sketch
    {
        $sketch = self::sketch();
        for ($at = 0; $at < $count; $at++) {
            if ($at % 4 === 0) {
                $sketch->place("p{$at}", "Place {$at}");
            }
            $sketch->node("n{$at}", sprintf('N%02d', $at), NodeKind::Controller, 'p'.($at - $at % 4), null);
        }

        return $sketch;
    }

    public function test_every_node_is_a_post_and_every_endpoint_a_stop(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $map = self::map($plan);
            $posts = array_merge(...array_map(static fn (MapBand $band): array => array_map(static fn (MapPost $post): string => $post->nodeId, $band->posts), $map->bands));
            self::assertSame($map->order, $posts);
            self::assertCount(count($plan->nodes()), array_unique($posts));
            $stops = [];
            foreach ($map->bands as $band) {
                foreach ($band->lines as $line) {
                    $stops = [...$stops, ...array_map(static fn (MapStop $stop): string => $stop->endpointId, $line->stops)];
                }
            }
            self::assertCount(count($plan->endpoints()), array_unique($stops));
        }
    }

    public function test_posts_of_one_place_stand_together(): void
    {
        $plan = self::linden();
        $places = array_map(static fn (string $id): ?string => $plan->node($id)->placeId, self::map($plan)->order);
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
        $order = array_flip(self::map($sketch->plan())->order);
        [$a, $b, $c] = [$order[$sketch->id('A')], $order[$sketch->id('B')], $order[$sketch->id('C')]];
        self::assertFalse(min($a, $c) < $b && $b < max($a, $c));
    }

    public function test_a_line_runs_from_its_first_stop_to_its_last_and_no_farther(): void
    {
        [$band] = self::map(self::row(4)->link('l', 'Air', 'packet-radio')->join('l', 'n1', Role::Both)->join('l', 'n3', Role::Both)->plan())->bands;
        self::assertCount(2, $band->lines[0]->stops);
        self::assertSame($band->lines[0]->stops[0]->x, $band->lines[0]->from);
        self::assertSame($band->lines[0]->stops[1]->x, $band->lines[0]->to);
    }

    public function test_a_wide_plan_folds_between_places_and_stays_on_the_page(): void
    {
        $sketch = self::row(100)->link('l', 'Air', 'packet-radio');
        foreach ([0, 50, 99] as $at) {
            $sketch->join('l', "n{$at}", Role::Both);
        }
        $bands = self::map($sketch->plan())->bands;
        self::assertGreaterThan(4, count($bands));
        foreach ($bands as $band) {
            self::assertLessThan(900, max(array_map(static fn (MapPost $post): float => $post->x, $band->posts)));
            self::assertCount(1, $band->lines);
        }
        self::assertCount(8, $bands[0]->posts);
        self::assertTrue($bands[0]->lines[0]->toAfter);
        self::assertFalse($bands[0]->lines[0]->fromBefore);
        self::assertFalse($bands[count($bands) - 1]->lines[0]->toAfter);
    }

    public function test_a_page_as_narrow_as_a_phone_gets_bands_of_three_at_most_that_lie_within_what_is_drawn(): void
    {
        $bands = self::map(self::row(12)->link('l', 'Air', 'packet-radio')->join('l', 'n0', Role::Both)->join('l', 'n11', Role::Both)->plan(), 340)->bands;
        self::assertSame(3, max(array_map(static fn (MapBand $band): int => count($band->posts), $bands)));
        foreach ($bands as $band) {
            self::assertLessThanOrEqual($band->width, max(array_map(static fn (MapPost $post): float => $post->x, $band->posts)) + 38);
            self::assertLessThanOrEqual($band->width, max([0.0, ...array_map(static fn (MapLine $line): float => $line->to, $band->lines)]));
        }
    }

    public function test_a_node_on_two_lines_has_a_bar_from_the_first_to_the_last_and_its_post_ends_there(): void
    {
        [$band] = self::map(self::row(3)->link('l', 'Air', 'packet-radio')->join('l', 'n0', Role::Both)->join('l', 'n1', Role::Both)
            ->link('k', 'Wire', 'ip')->join('k', 'n1', Role::Both)->join('k', 'n2', Role::Both)->plan())->bands;
        self::assertCount(1, $band->bars);
        self::assertSame([$band->lines[0]->y, $band->lines[1]->y], [$band->bars[0]->top, $band->bars[0]->bottom]);
        $bottoms = [];
        foreach ($band->posts as $post) {
            $bottoms[$post->nodeId] = $post->bottom;
        }
        self::assertSame($band->lines[1]->y, $bottoms[$band->bars[0]->nodeId]);
    }

    public function test_a_link_on_which_nobody_is_yet_is_drawn_in_the_first_band_alone(): void
    {
        $bands = self::map(self::row(30)->link('l', 'Air', 'packet-radio')->plan())->bands;
        self::assertSame([1, 0], [count($bands[0]->lines), count($bands[1]->lines)]);
        self::assertSame([], $bands[0]->lines[0]->stops);
    }

    public function test_an_empty_plan_has_one_empty_band(): void
    {
        $map = self::map(self::sketch()->plan());
        self::assertCount(1, $map->bands);
        self::assertSame([], $map->bands[0]->posts);
    }
}
