<?php

declare(strict_types=1);

namespace Tests\Core\Edit;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Edit\Edited;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Ten farms in a row, joined by wires: how far along the row an edit is felt. */
final class ImpactTest extends CoreTestCase
{
    private static function edited(Plan $plan, Operation $operation): Edited
    {
        return (new Editor(self::knowledge()))->apply($plan, [$operation]);
    }

    private static function node(Plan $plan, string $name): Node
    {
        return array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === $name))[0];
    }

    private static function link(Plan $plan, string $name): Link
    {
        return array_values(array_filter($plan->links(), static fn (Link $one): bool => $one->name === $name))[0];
    }

    /** @return iterable<string, array{Closure(Plan): Operation, list<string>}> edit, names of the nodes that feel it */
    public static function edits(): iterable
    {
        yield 'a handset at the end' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Node, self::node($plan, 'Hand 1')->id, ['name' => 'Other']), ['Other', 'Yard 1', 'Yard 2']];
        yield 'a key of it' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Control, $plan->controlsOf(self::node($plan, 'Hand 1'))[0]->id, ['name' => 'Other']), ['Hand 1', 'Yard 1', 'Yard 2']];
        yield 'one of its wires' => [static fn (Plan $plan): Operation => Operation::remove(ThingKind::PinUse, $plan->pinUsesOf($plan->modulesOf(self::node($plan, 'Hand 1'))[0])[0]->id), ['Hand 1', 'Yard 1', 'Yard 2']];
        yield 'the radio link of the farm' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Link, self::link($plan, 'Air 1')->id, ['settings' => ['channel' => 80]]), ['Hand 1', 'Yard 1', 'Yard 2']];
        yield 'the handset taken away' => [static fn (Plan $plan): Operation => Operation::remove(ThingKind::Node, self::node($plan, 'Hand 1')->id), ['Yard 1', 'Yard 2']];
    }

    /**
     * @param  Closure(Plan): Operation  $edit
     * @param  list<string>  $names
     */
    #[DataProvider('edits')]
    public function test_who_shares_a_route_with_what_was_touched_feels_it_and_nobody_else(Closure $edit, array $names): void
    {
        $plan = self::farms();
        $felt = array_map(static fn (Node $node): string => $node->name, self::edited($plan, $edit($plan))->impact()->on(Node::class));
        sort($felt);
        self::assertSame($names, $felt);
    }

    public function test_an_end_is_felt_by_its_node_its_link_and_the_far_ends_of_its_routes_not_by_all_on_the_link(): void
    {
        $sketch = self::sketch()->link('air', 'Air', 'packet-radio');
        foreach (['a', 'b', 'c', 'd'] as $key) {
            $sketch->node($key, strtoupper($key), NodeKind::Controller, null, '8bit-5v-20io')->join('air', $key, Role::Both);
        }
        $plan = $sketch->plan();
        $end = $plan->endpointsOf(self::node($plan, 'A'))[0];
        $impact = self::edited($plan, Operation::change(ThingKind::Endpoint, $end->id, ['settings' => ['retries' => 3]]))->impact();
        self::assertSame([$end->id], array_map(static fn (Endpoint $one): string => $one->id, $impact->on(Endpoint::class)));
        self::assertSame(['Air'], array_map(static fn (Link $one): string => $one->name, $impact->on(Link::class)));
        self::assertSame(['A'], array_map(static fn (Node $one): string => $one->name, $impact->on(Node::class)));
        $ofLink = self::edited($plan, Operation::change(ThingKind::Link, $sketch->id('air'), ['name' => 'Ether']))->impact();
        self::assertCount(4, $ofLink->on(Endpoint::class));
    }

    public function test_another_region_is_felt_everywhere(): void
    {
        $plan = self::farms();
        $impact = self::edited($plan, Operation::changeProperties($plan->properties->id, ['region' => 'us']))->impact();
        self::assertTrue($impact->isOnEverything());
        self::assertSame($plan->nodes(), $impact->on(Node::class));
    }

    public function test_what_sits_on_another_nodes_part_is_felt_there_too_before_and_after(): void
    {
        $plan = self::farms();
        $key = $plan->controlsOf(self::node($plan, 'Hand 1'))[0];
        $odd = self::edited($plan, Operation::change(ThingKind::Control, $key->id, ['moduleId' => $plan->modulesOf(self::node($plan, 'Yard 7'))[0]->id]));
        $felt = static fn (Edited $edited): array => array_map(static fn (Node $node): string => $node->name, $edited->impact()->on(Node::class));
        self::assertContains('Yard 7', $felt($odd));
        self::assertNotContains('Yard 9', $felt($odd));
        self::assertContains('Yard 7', $felt((new Editor(self::knowledge()))->apply($odd->plan, $odd->inverse)), 'put right again');
        self::assertContains('Yard 7', $felt(self::edited($odd->plan, Operation::change(ThingKind::Node, self::node($plan, 'Hand 1')->id, ['name' => 'Other']))), 'named there');
    }

    public function test_a_route_that_is_taken_away_is_felt_at_both_ends_of_it(): void
    {
        $plan = self::farms();
        $route = array_values(array_filter($plan->routes(), static fn (Route $route): bool => $plan->hopsOf($route) !== []))[0];
        $edited = self::edited($plan, Operation::remove(ThingKind::Route, $route->id));
        $impact = $edited->impact();
        $nodes = array_map(static fn (Node $node): string => $node->id, $impact->on(Node::class));
        self::assertContains($plan->control($route->controlId)->nodeId, $nodes);
        self::assertContains($plan->output($route->outputId)->nodeId, $nodes);
        self::assertSame([$route->id], $impact->gone(ThingKind::Route));
        self::assertCount(count($plan->hopsOf($route)), $impact->gone(ThingKind::Hop));
        self::assertNotContains($route->id, array_map(static fn (Hop $hop): string => $hop->routeId, $impact->on(Hop::class)));
    }

    public function test_what_was_removed_is_listed_by_kind(): void
    {
        $plan = self::farms();
        $node = $plan->nodes()[0];
        $impact = self::edited($plan, Operation::remove(ThingKind::Node, $node->id))->impact();
        self::assertSame([$node->id], $impact->gone(ThingKind::Node));
        self::assertNotSame([], $impact->gone(ThingKind::Route));
        self::assertSame([], $impact->gone(ThingKind::Place));
    }
}
