<?php

declare(strict_types=1);

namespace Tests\Core\Routes;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\Paths;
use Tests\Core\CoreTestCase;

/** Which way a message goes. */
final class PathsTest extends CoreTestCase
{
    /** Hand, two gateways and a far board; every node has a key and a lamp. */
    private static function chain(): Sketch
    {
        $sketch = self::sketch();
        foreach (['hand', 'near', 'far', 'end'] as $name) {
            $sketch->node($name, ucfirst($name), NodeKind::Controller, null, '8bit-5v-20io')
                ->control("{$name}-key", $name, 'Key')
                ->output("{$name}-lamp", $name, 'Lamp');
        }

        return $sketch;
    }

    private static function link(Sketch $sketch, string $key, string $from, string $to): Sketch
    {
        return $sketch->link($key, $key, 'packet-radio')
            ->join($key, $from, Role::Sends)
            ->join($key, $to, Role::Receives);
    }

    /** @return list<string>|null names of the links travelled */
    private static function way(Sketch $sketch, string $from, string $to): ?array
    {
        $sketch->route("{$from}-key", Action::On, "{$to}-lamp");
        $plan = $sketch->plan();
        $hops = (new Paths($plan))->propose($plan->routes()[0]);

        return $hops === null
            ? null
            : array_map(static fn (Hop $hop): string => $plan->link($hop->linkId)->name, $hops);
    }

    public function test_inside_a_node_nothing_goes_over_the_air(): void
    {
        self::assertSame([], self::way(self::chain(), 'hand', 'hand'));
    }

    public function test_one_link_is_one_hop(): void
    {
        self::assertSame(['a'], self::way(self::link(self::chain(), 'a', 'hand', 'end'), 'hand', 'end'));
    }

    public function test_a_chain_of_gateways_is_travelled_in_order(): void
    {
        $sketch = self::chain();
        self::link($sketch, 'c', 'far', 'end');
        self::link($sketch, 'a', 'hand', 'near');
        self::link($sketch, 'b', 'near', 'far');
        self::assertSame(['a', 'b', 'c'], self::way($sketch, 'hand', 'end'));
    }

    public function test_the_way_with_fewer_hops_wins(): void
    {
        $sketch = self::chain();
        self::link($sketch, 'a', 'hand', 'near');
        self::link($sketch, 'b', 'near', 'end');
        self::link($sketch, 'direct', 'hand', 'end');
        self::assertSame(['direct'], self::way($sketch, 'hand', 'end'));
    }

    public function test_of_two_equal_ways_the_first_link_of_the_plan_wins(): void
    {
        $sketch = self::chain();
        self::link($sketch, 'first', 'hand', 'end');
        self::link($sketch, 'second', 'hand', 'end');
        self::assertSame(['first'], self::way($sketch, 'hand', 'end'));
    }

    public function test_a_link_is_not_travelled_backwards(): void
    {
        self::assertNull(self::way(self::link(self::chain(), 'a', 'end', 'hand'), 'hand', 'end'));
    }

    public function test_a_ring_of_links_does_not_trap_the_search(): void
    {
        $sketch = self::chain();
        self::link($sketch, 'a', 'hand', 'near');
        self::link($sketch, 'b', 'near', 'far');
        self::link($sketch, 'c', 'far', 'hand');
        self::assertNull(self::way($sketch, 'hand', 'end'));
    }

    public function test_both_ends_that_send_and_receive_can_talk_either_way(): void
    {
        $sketch = self::chain()
            ->link('a', 'a', 'packet-radio')
            ->join('a', 'hand', Role::Both)
            ->join('a', 'end', Role::Both);
        self::assertSame(['a'], self::way($sketch, 'end', 'hand'));
    }

    /** @return iterable<string, array{list<array{string, string, string}>, bool}> hops as link, from, to */
    public static function stored(): iterable
    {
        yield 'the whole way' => [[['a', 'hand', 'near'], ['b', 'near', 'end']], true];
        yield 'only half of it' => [[['a', 'hand', 'near']], false];
        yield 'a way that begins elsewhere' => [[['b', 'near', 'end']], false];
        yield 'nothing' => [[], false];
    }

    /** @param  list<array{string, string, string}>  $hops */
    #[DataProvider('stored')]
    public function test_stored_hops_hold_only_when_they_lead_from_control_to_output(array $hops, bool $holds): void
    {
        $sketch = self::chain();
        self::link($sketch, 'a', 'hand', 'near');
        self::link($sketch, 'b', 'near', 'end');
        $sketch->route('hand-key', Action::On, 'end-lamp');
        foreach ($hops as [$link, $from, $to]) {
            $sketch->hop('hand-key end-lamp on', $link, $from, $to, 1);
        }
        $plan = $sketch->plan();
        self::assertSame($holds, (new Paths($plan))->holds($plan->routes()[0]));
    }

    public function test_a_hop_between_ends_of_another_link_does_not_hold(): void
    {
        $sketch = self::chain();
        self::link($sketch, 'a', 'hand', 'end');
        self::link($sketch, 'b', 'near', 'far');
        $sketch->route('hand-key', Action::On, 'end-lamp')->hop('hand-key end-lamp on', 'a', 'hand', 'end', 1);
        $plan = $sketch->plan();
        $hop = $plan->hops()[0];
        $spoiled = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Hop, $hop->id, ['linkId' => $sketch->id('b')])])->plan;
        self::assertTrue((new Paths($plan))->holds($plan->routes()[0]));
        self::assertFalse((new Paths($spoiled))->holds($spoiled->routes()[0]));
    }

    public function test_a_proposed_hop_has_the_same_id_every_time(): void
    {
        $sketch = self::link(self::chain(), 'a', 'hand', 'end');
        $sketch->route('hand-key', Action::On, 'end-lamp');
        $plan = $sketch->plan();
        $ids = static fn (): array => array_map(static fn (Hop $hop): string => $hop->id, (new Paths($plan))->propose($plan->routes()[0]) ?? []);
        self::assertSame($ids(), $ids());
        self::assertMatchesRegularExpression('/^[0-7][0-9A-HJKMNP-TV-Z]{25}$/', $ids()[0]);
    }
}
