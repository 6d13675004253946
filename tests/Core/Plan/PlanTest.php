<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Place;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\ValueSpan;
use Tests\Core\CoreTestCase;

/** What a plan says of its own things. */
final class PlanTest extends CoreTestCase
{
    public function test_an_end_that_was_put_on_another_link_leaves_no_hop_that_a_medium_sees(): void
    {
        $sketch = self::pair()
            ->link('l', 'Air', 'packet-radio')->join('l', 'hand', Role::Sends, 'hand-radio')->join('l', 'board', Role::Receives, 'board-radio')
            ->link('m', 'Other air', 'packet-radio')
            ->control('k', 'hand', 'Key')->output('o', 'board', 'Lamp')->route('k', Action::On, 'o')->hop('k o on', 'l', 'hand', 'board', 7);
        $plan = $sketch->plan();
        self::assertCount(1, $plan->hopsOver($plan->link($sketch->id('l'))));
        $moved = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Endpoint, $sketch->id('l board'), ['linkId' => $sketch->id('m')])])->plan;
        self::assertCount(1, $moved->hops(), 'the hop stays in the plan');
        foreach ($moved->endpoints() as $end) {
            self::assertSame([], [...$moved->hopsTo($end), ...$moved->hopsFrom($end)]);
        }
        self::assertSame([], $moved->hopsOver($moved->link($sketch->id('l'))));
        self::assertNotSame([], self::found($moved, 'route-without-path'), 'and its route is said to have no way');
    }

    public function test_a_new_id_is_the_same_for_the_same_and_never_one_that_is_in_use(): void
    {
        $plan = self::pair()->plan();
        $id = $plan->newId('lamp', 'one');
        self::assertSame($id, $plan->newId('lamp', 'one'));
        self::assertNotSame($id, $plan->newId('lamp', 'two'));
        self::assertMatchesRegularExpression('/^[0-7][0-9A-HJKMNP-TV-Z]{25}$/', $id);
        $taken = (new Editor(self::knowledge()))->apply($plan, [Operation::add(new Place($id, 'Taken'))])->plan;
        $next = $taken->newId('lamp', 'one');
        self::assertNotSame($id, $next);
        $takenToo = (new Editor(self::knowledge()))->apply($taken, [Operation::add(new Place($next, 'Taken too'))])->plan;
        self::assertNotContains($takenToo->newId('lamp', 'one'), [$id, $next]);
    }

    public function test_lists_are_in_the_users_order_and_then_by_id_however_they_were_stored(): void
    {
        $ids = ['01ARZ3NDEKTSV4RRFFQ69G5FA1', '01ARZ3NDEKTSV4RRFFQ69G5FA2', '01ARZ3NDEKTSV4RRFFQ69G5FA3', '01ARZ3NDEKTSV4RRFFQ69G5FA4'];
        $places = [new Place($ids[0], 'D', 2), new Place($ids[1], 'B', 1), new Place($ids[2], 'C', 1), new Place($ids[3], 'A', 0)];
        $expected = ['A', 'B', 'C', 'D'];
        foreach ([$places, array_reverse($places), [$places[3], $places[1], $places[2], $places[0]]] as $stored) {
            $draft = new PlanDraft(self::pair()->plan()->properties);
            array_map($draft->put(...), $stored);
            self::assertSame($expected, array_map(static fn (Place $place): string => $place->name, $draft->plan()->places()));
        }
    }

    /** Whoever looks at all of a kind has them parted in one go, whoever looks at a few has those picked out: nobody is to see which. */
    public function test_what_belongs_to_a_thing_is_the_same_whether_all_of_its_kind_were_listed_before_or_not(): void
    {
        $whole = self::farms()->draft()->plan();
        foreach ([Hop::class => ['routeId', 'fromId', 'linkId'], Module::class => ['nodeId', 'supplyId', 'signalSupplyId'], Address::class => ['endpointId'], Output::class => ['moduleId']] as $class => $fields) {
            $all = $whole->of($class);
            self::assertNotSame([], $all, $class);
            foreach ($fields as $field) {
                $plan = self::farms()->draft()->plan();
                $ids = array_unique(array_map(static fn (Thing $thing): string => (string) $thing->{$field}, $all));
                foreach ([...$ids, '', 'nobody'] as $id) {
                    $expected = array_values(array_filter($all, static fn (Thing $thing): bool => $thing->{$field} === $id));
                    self::assertSame(array_column($expected, 'id'), array_column($whole->having($class, $field, $id), 'id'), "{$class} {$field} {$id}, all listed");
                    self::assertSame(array_column($expected, 'id'), array_column($plan->having($class, $field, $id), 'id'), "{$class} {$field} {$id}, picked out");
                }
            }
        }
    }

    public function test_a_route_that_can_only_stop_its_output_says_so(): void
    {
        $route = static fn (Action $action, ?int $value = null): Route => new Route('r', 'c', 'o', $action, value: $value);
        self::assertTrue($route(Action::Off)->putsOff());
        self::assertTrue($route(Action::Set, 0)->putsOff());
        self::assertFalse($route(Action::Set, -1)->putsOff(), 'backwards is not off');
        self::assertFalse($route(Action::Set)->putsOff(), 'a stick may say anything');
        self::assertFalse($route(Action::Pulse)->putsOff());
        self::assertTrue($route(Action::Set)->holdsToControl());
        self::assertFalse($route(Action::Set, 3)->holdsToControl());
        self::assertTrue($route(Action::Follow)->holdsToControl());
    }

    public function test_a_span_knows_what_is_in_it_and_what_is_nearest(): void
    {
        $span = new ValueSpan(-3, 3);
        self::assertSame([-3, -2, -1, 0, 1, 2, 3], $span->values());
        self::assertTrue($span->holds(-3));
        self::assertFalse($span->holds(4));
        self::assertSame([3, -3, 0], [$span->nearest(99), $span->nearest(-99), $span->nearest(0)]);
        self::assertSame(5, (new ValueSpan(5, 9))->nearest(0));
    }

    public function test_only_what_takes_values_has_a_span_and_only_the_right_way_round(): void
    {
        $output = static fn (OutputKind $kind, array $settings): Output => new Output('o', 'n', 'It', $kind, settings: $settings);
        self::assertNotNull($output(OutputKind::Function, ['lowest' => 0, 'highest' => 3])->span());
        self::assertNull($output(OutputKind::Function, ['lowest' => 3, 'highest' => 0])->span());
        self::assertNull($output(OutputKind::Function, ['lowest' => 0, 'highest' => null])->span());
        self::assertNull($output(OutputKind::Relay, ['lowest' => 0, 'highest' => 3])->span());
    }
}
