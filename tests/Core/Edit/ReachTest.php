<?php

declare(strict_types=1);

namespace Tests\Core\Edit;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Checker;
use Rundfunk\Edit\Crossings;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Operation;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanReader;
use Rundfunk\Plan\PlanWriter;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Ten farms in a row, joined by wires: how far along the row an edit is felt. */
final class ReachTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Plan): Operation, list<string>}> edit, names of the nodes that feel it */
    public static function edits(): iterable
    {
        $node = static fn (Plan $plan, string $name): Node => array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === $name))[0];
        $link = static fn (Plan $plan, string $name): Link => array_values(array_filter($plan->links(), static fn (Link $one): bool => $one->name === $name))[0];
        $near = ['Hand 1', 'Yard 1', 'Yard 2'];
        yield 'a handset at the end' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Node, $node($plan, 'Hand 1')->id, ['name' => 'Other']), ['Other', 'Yard 1', 'Yard 2']];
        yield 'a key of it' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Control, $plan->controlsOf($node($plan, 'Hand 1'))[0]->id, ['name' => 'Other']), $near];
        yield 'one of its wires' => [static fn (Plan $plan): Operation => Operation::remove(ThingKind::PinUse, $plan->pinUsesOf($plan->modulesOf($node($plan, 'Hand 1'))[0])[0]->id), $near];
        yield 'the radio link of the farm' => [static fn (Plan $plan): Operation => Operation::change(ThingKind::Link, $link($plan, 'Air 1')->id, ['settings' => ['channel' => 80]]), $near];
        yield 'the handset taken away' => [static fn (Plan $plan): Operation => Operation::remove(ThingKind::Node, $node($plan, 'Hand 1')->id), ['Hand 2', 'Yard 1', 'Yard 2']];
    }

    /**
     * @param  Closure(Plan): Operation  $edit
     * @param  list<string>  $names
     */
    #[DataProvider('edits')]
    public function test_who_shares_a_link_or_a_route_feels_it_and_nobody_else(Closure $edit, array $names): void
    {
        $plan = self::farms();
        $reach = (new Editor(self::knowledge()))->apply($plan, [$edit($plan)])->reach();
        $felt = array_map(static fn (Node $node): string => $node->name, $reach->nodes());
        sort($felt);
        self::assertSame([], array_diff($felt, ['Hand 1', 'Hand 2', 'Hand 3', 'Other', 'Yard 1', 'Yard 2', 'Yard 3']), 'nobody farther off than the second farm after');
        self::assertSame([], array_diff($names, $felt), 'all who are near');
    }

    public function test_the_surroundings_are_a_plan_of_their_own_and_refer_to_nothing_that_is_not_in_it(): void
    {
        $plan = self::farms();
        $around = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Node, $plan->nodes()[0]->id, ['name' => 'Other'])])->reach()->surroundings();
        self::assertNotNull($around);
        self::assertLessThan(count($plan->nodes()), count($around->nodes()));
        // Reading it from a file checks every reference.
        $text = (new PlanWriter)->write($around);
        self::assertSame($text, (new PlanWriter)->write((new PlanReader(self::knowledge()))->read($text)));
    }

    public function test_a_link_on_which_nobody_is_yet_is_among_its_own_surroundings(): void
    {
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio')->link('m', 'Far air', 'packet-radio');
        foreach (range(1, 6) as $number) {
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, '8bit-5v-20io');
        }
        $plan = $sketch->plan();
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Link, $sketch->id('l'), ['settings' => ['channel' => 90]])]);
        self::assertSame([$sketch->id('l')], array_map(static fn (Link $link): string => $link->id, $edited->reach()->surroundings()?->links() ?? []));
        $checker = new Checker(self::knowledge());
        self::assertContains('packet-channel-outside-band', array_column($checker->recheck($edited, $checker->check($plan))->all(), 'rule'));
    }

    public function test_another_region_is_felt_everywhere(): void
    {
        $plan = self::farms();
        $reach = (new Editor(self::knowledge()))->apply($plan, [Operation::changeParticulars($plan->particulars->id, ['region' => 'us'])])->reach();
        self::assertCount(count($plan->nodes()), $reach->nodes());
        self::assertNull($reach->surroundings());
        self::assertTrue($reach->feels('node', $plan->nodes()[7]->id));
    }

    public function test_where_things_refer_past_their_node_nothing_is_taken_for_far(): void
    {
        $plan = self::farms();
        $other = $plan->modulesOf($plan->nodes()[6])[0];
        $key = $plan->controlsOf($plan->nodes()[1])[0];
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Control, $key->id, ['moduleId' => $other->id])]);
        self::assertTrue(Crossings::any($edited));
        self::assertCount(count($plan->nodes()), $edited->reach()->nodes());
        // Put right again, it is felt where it was odd too.
        $back = (new Editor(self::knowledge()))->apply($edited->plan, $edited->inverse);
        self::assertTrue(Crossings::any($back));
        self::assertFalse(Crossings::any((new Editor(self::knowledge()))->apply($back->plan, [Operation::change(ThingKind::Node, $plan->nodes()[0]->id, ['name' => 'Other'])])));
    }

    public function test_what_was_removed_is_listed_by_kind(): void
    {
        $plan = self::farms();
        $node = $plan->nodes()[0];
        $reach = (new Editor(self::knowledge()))->apply($plan, [Operation::remove(ThingKind::Node, $node->id)])->reach();
        self::assertSame([$node->id], $reach->gone(ThingKind::Node));
        self::assertNotSame([], $reach->gone(ThingKind::Route));
        self::assertSame([], $reach->gone(ThingKind::Place));
    }
}
