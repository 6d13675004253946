<?php

declare(strict_types=1);

namespace Tests\Core\Edit;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Edit\Editor;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\PlanRefused;
use Tests\Core\CoreTestCase;

final class EditorTest extends CoreTestCase
{
    private static function editor(): Editor
    {
        return new Editor(self::knowledge());
    }

    private static function bytes(Plan $plan): string
    {
        return (new PlanWriter)->write($plan);
    }

    /** Any edit followed by its inverse is no edit: tried with removals and changes of everything in both demos. */
    public function test_the_inverse_undoes_any_edit(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $before = self::bytes($plan);
            // A class that something is of cannot go before that.
            foreach (array_udiff(ThingKind::cases(), [ThingKind::OwnBoard, ThingKind::OwnModule], static fn (ThingKind $a, ThingKind $b): int => $a->value <=> $b->value) as $kind) {
                foreach ($plan->all($kind) as $thing) {
                    $edited = self::editor()->apply($plan, [Operation::remove($kind, $thing->id())]);
                    self::assertNull($edited->plan->find($kind, $thing->id()));
                    self::assertSame($before, self::bytes(self::editor()->apply($edited->plan, $edited->inverse)->plan));
                }
            }
        }
    }

    public function test_the_inverse_undoes_several_operations_at_once(): void
    {
        $plan = self::linden();
        $node = $plan->nodes()[0];
        $place = $plan->places()[0];
        $edited = self::editor()->apply($plan, [
            Operation::changeProperties($plan->properties->id, ['name' => 'Other', 'busyWifi' => [3]]),
            Operation::change(ThingKind::Node, $node->id, ['name' => 'One']),
            Operation::change(ThingKind::Node, $node->id, ['name' => 'Two', 'placeId' => null]),
            Operation::change(ThingKind::Link, $plan->links()[0]->id, ['settings' => ['channel' => 80]]),
            Operation::remove(ThingKind::Place, $place->id),
            Operation::remove(ThingKind::Node, $plan->nodes()[2]->id),
        ]);
        self::assertSame('Two', $edited->plan->node($node->id)->name);
        self::assertSame(self::bytes($plan), self::bytes(self::editor()->apply($edited->plan, $edited->inverse)->plan));
    }

    public function test_removing_a_node_takes_what_cannot_be_without_it_and_clears_what_merely_refers(): void
    {
        $plan = self::linden();
        $shed = $plan->nodes()[3];
        $edited = self::editor()->apply($plan, [Operation::remove(ThingKind::Node, $shed->id)])->plan;
        self::assertSame([], $edited->modulesOf($shed));
        self::assertSame([], $edited->endpointsOf($shed));
        foreach ($edited->hops() as $hop) {
            self::assertNotNull($edited->find(ThingKind::Endpoint, $hop->fromId));
            self::assertNotNull($edited->find(ThingKind::Endpoint, $hop->toId));
        }
        $place = $plan->places()[0];
        $without = self::editor()->apply($plan, [Operation::remove(ThingKind::Place, $place->id)])->plan;
        self::assertCount(count($plan->nodes()), $without->nodes());
        self::assertNull($without->nodes()[0]->placeId);
    }

    public function test_steps_and_states_go_with_their_output_and_one_that_goes_is_taken_out_of_its_list(): void
    {
        $plan = self::linden();
        $round = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->name === 'Evening round'))[0];
        $lamp = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->name === 'Hen lamp'))[0];
        $edited = self::editor()->apply($plan, [Operation::remove(ThingKind::Output, $round->id), Operation::remove(ThingKind::Output, $lamp->id)]);
        foreach ([...$round->stepIds, ...$lamp->stateIds] as $own) {
            self::assertNull($edited->plan->find(ThingKind::Control, $own));
            self::assertSame([], $edited->plan->having(Route::class, 'controlId', $own));
        }
        self::assertSame(self::bytes($plan), self::bytes(self::editor()->apply($edited->plan, $edited->inverse)->plan));
        $less = self::editor()->apply($plan, [Operation::remove(ThingKind::Control, $round->stepIds[1])]);
        self::assertSame(array_values(array_diff($round->stepIds, [$round->stepIds[1]])), $less->plan->output($round->id)->stepIds);
    }

    public function test_what_a_new_thing_takes_for_its_own_stays_when_that_is_undone(): void
    {
        $plan = self::linden();
        $round = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->name === 'Evening round'))[0];
        $second = new Output('01ARZ3NDEKTSV4RRFFQ69G5FAV', $round->nodeId, 'Second round', $round->kind, stepIds: $round->stepIds);
        $edited = self::editor()->apply($plan, [Operation::add($second)]);
        self::assertSame(self::bytes($plan), self::bytes(self::editor()->apply($edited->plan, $edited->inverse)->plan));
    }

    public function test_a_change_of_settings_leaves_the_others_alone(): void
    {
        $plan = self::linden();
        $link = $plan->links()[0];
        $edited = self::editor()->apply($plan, [Operation::change(ThingKind::Link, $link->id, ['settings' => ['channel' => 80]])])->plan;
        self::assertSame(80, $edited->link($link->id)->settings['channel']);
        self::assertSame(8, $edited->link($link->id)->settings['payloadBytes']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $node = self::linden()->nodes()[0]->id;
        yield 'unknown id' => [
            ['op' => 'change', 'kind' => 'node', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => ['name' => 'x']],
            '/operations/0/id',
        ];
        yield 'wrong type' => [
            ['op' => 'change', 'kind' => 'node', 'id' => $node, 'values' => ['name' => 1]],
            '/operations/0/values/name',
        ];
        yield 'unknown field' => [
            ['op' => 'change', 'kind' => 'node', 'id' => $node, 'values' => ['hat' => 1]],
            '/operations/0/values/hat',
        ];
        yield 'change of id' => [
            ['op' => 'change', 'kind' => 'node', 'id' => $node, 'values' => ['id' => $node]],
            '/operations/0/values/id',
        ];
        yield 'id in use' => [
            ['op' => 'add', 'kind' => 'place', 'id' => $node, 'values' => ['name' => 'x']],
            '/operations/0/id',
        ];
        yield 'missing field' => [
            ['op' => 'add', 'kind' => 'place', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => []],
            '/operations/0/values/name',
        ];
        yield 'another plan' => [
            ['op' => 'change', 'kind' => 'plan', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => ['name' => 'x']],
            '/operations/0/id',
        ];
    }

    /** @param  array<string, mixed>  $raw */
    #[DataProvider('wrong')]
    public function test_a_wrong_operation_is_refused_at_its_place_and_nothing_changes(array $raw, string $place): void
    {
        $before = self::bytes(self::linden());
        try {
            self::editor()->apply(self::linden(), [Operation::from($raw, '/operations/0')]);
            self::fail('nothing was refused');
        } catch (PlanRefused $refused) {
            self::assertSame($place, $refused->problems[0]->place);
        }
        self::assertSame($before, self::bytes(self::linden()));
    }

    /** @return iterable<string, array{mixed}> */
    public static function malformed(): iterable
    {
        yield 'not an object' => ['remove'];
        yield 'no verb' => [['kind' => 'node', 'id' => 'x']];
        yield 'unknown verb' => [['op' => 'explode', 'kind' => 'node', 'id' => 'x']];
        yield 'unknown kind' => [['op' => 'remove', 'kind' => 'wizard', 'id' => 'x']];
        yield 'no id' => [['op' => 'remove', 'kind' => 'node']];
        yield 'list of values' => [['op' => 'change', 'kind' => 'node', 'id' => 'x', 'values' => [1]]];
        yield 'the plan removed' => [['op' => 'remove', 'kind' => 'plan', 'id' => 'x']];
    }

    #[DataProvider('malformed')]
    public function test_what_is_no_operation_is_refused(mixed $raw): void
    {
        $this->expectException(PlanRefused::class);
        Operation::from($raw, '/operations/0');
    }
}
