<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\Group;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Shipped;
use Rundfunk\View\Shown\NodePower;
use Tests\Core\CoreTestCase;

/** What nobody plans and a file may say; and what one node's supply means for another's. */
final class SupplyEdgesTest extends CoreTestCase
{
    public function test_the_farthest_values_that_a_plan_may_hold_are_judged_and_shown(): void
    {
        // A kilometre of hair-thin wire, a capacitor of nothing and one of a farad, a battery of a submarine, ten thousand relays.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->sleeping('n');
        foreach ([[0.000_001, 0.0], [1_000_000.0, 10.0]] as $index => [$microfarads, $esr]) {
            $sketch->supply("s{$index}", 'n', 'lead-12v', "S{$index}", null, $index === 0 ? FeedsAt::Vin : null, ['volts' => $index === 0 ? 0.1 : 60.0, 'sourceOhm' => 100.0, 'limitMa' => 1, 'capacityMah' => 10_000_000, 'cableM' => 1000, 'cableMm2' => 0.03, 'fuseA' => 0.05])
                ->module("m{$index}", 'n', 'modem-2g', "M{$index}", "s{$index}")
                ->part("m{$index}", 'VBAT', PartKind::Capacitor, ['microfarads' => $microfarads, 'esrOhm' => $esr])
                ->part("m{$index}", 'RXD', PartKind::Divider, ['ohms' => 0.1, 'lowerOhms' => 10_000_000]);
        }
        for ($relay = 0; $relay < 400; $relay++) {
            $sketch->module("r{$relay}", 'n', 'relay-bank-8-low', "R{$relay}", 's1');
        }
        $plan = $sketch->plan();
        self::assertNotSame([], self::checker()->check($plan)->all());
        foreach (['node-power', 'node-levels', 'parts-list'] as $view) {
            self::assertNotNull(Shipped::views()->show($view, [$sketch->id('n')], $plan)[0]['shows']);
        }
    }

    public function test_all_that_hangs_on_a_pin_that_is_there_twice_comes_to_the_first(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->supply('three', 'n', 'board-3v3', 'Three')->supply('first', 'n', 'board-5v', 'Five')->supply('again', 'n', 'board-5v', 'Five again')
            ->supply('low', 'n', 'low-drop-3v3', 'Low', 'again')->supply('other', 'n', 'low-drop-3v3', 'Other', 'again');
        foreach (['a', 'b'] as $key) {
            $sketch->module($key, 'n', 'relay-bank-1-low', "Relay {$key}", 'again');
        }
        $sketch->module('s', 'n', 'relay-bank-1-low', 'Signal', null, ['signalSupplyId' => $sketch->id('again')])->load('l', 'Lamp', null, null, LoadKind::Resistive, 0.5, ['supplyId' => $sketch->id('again')]);
        $plan = $sketch->plan();
        [$finding] = self::found($plan, 'rail-twice');
        $mended = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations ?? [])->plan;
        $first = $sketch->id('first');
        self::assertSame([$first, $first], array_map(static fn (string $key): ?string => $mended->module($sketch->id($key))->supplyId, ['a', 'b']));
        self::assertSame([$first, $first], array_map(static fn (string $key): ?string => $mended->supply($sketch->id($key))->parentId, ['low', 'other']));
        self::assertSame(['Three', 'Five', 'Low', 'Other'], array_column($mended->suppliesOf($mended->node($sketch->id('n'))), 'name'));
        self::assertSame([$first, $first], [$mended->module($sketch->id('s'))->signalSupplyId, $mended->loads()[0]->supplyId]);
        self::assertSame([$sketch->id('again')], $finding->about);
    }

    /** A pin of 450 mA that stands in the plan as two: five coils of 80 mA are 400, six are 480, however they are shared out. */
    public function test_two_that_together_are_too_much_are_not_made_one_by_a_click(): void
    {
        foreach ([[2, 3, true], [2, 4, false]] as [$here, $there, $offered]) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('first', 'n', 'board-5v', 'Five')->supply('again', 'n', 'board-5v', 'Five again');
            for ($number = 0; $number < $here + $there; $number++) {
                $sketch->module("m{$number}", 'n', 'relay-bank-1-low', "Relay {$number}", $number < $here ? 'first' : 'again');
            }
            [$finding] = self::found($sketch->plan(), 'rail-twice');
            self::assertSame($offered, $finding->fix !== null);
        }
    }

    #[Group('timing')]
    public function test_thousands_of_supplies_are_looked_through_in_no_time(): void
    {
        $started = microtime(true);
        foreach ([null, 's2999'] as $last) {
            // One below the other; then the same in a circle.
            $chain = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s0', 'n', 'buck', 'S0');
            for ($number = 1; $number < 3_000; $number++) {
                $chain->supply("s{$number}", 'n', 'buck', "S{$number}", 's'.($number - 1));
            }
            $plan = ($last === null ? $chain : $chain->refeed('s0', $last))->plan();
            self::assertCount($last === null ? 0 : 3_000, self::found($plan, 'supply-in-circle'));
            $shown = Shipped::views()->show('node-power', [$chain->id('n')], $plan)[0]['shows'];
            self::assertInstanceOf(NodePower::class, $shown);
            self::assertCount(3_000, $shown->rails);
        }
        $shared = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', 'plug-12v-2a', 'P');
        for ($number = 1; $number < 800; $number++) {
            $shared->node("n{$number}", "N{$number}", NodeKind::Controller, null, '8bit-5v-20io')->supply("l{$number}", "n{$number}", 'line', 'L', 'p')->module("m{$number}", "n{$number}", 'relay-bank-8-low', "M{$number}", "l{$number}");
        }
        self::assertCount(1, self::found($shared->plan(), 'weak-rail'));
        self::assigner()->assign($shared->plan());
        self::assertLessThan(8.0, microtime(true) - $started, 'in 2 s here; it took minutes while each supply walked up to the source by itself');
    }

    public function test_a_pin_of_a_board_does_not_feed_its_own_board(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', 'board-5v', '5V pin', null, FeedsAt::FiveVolt)->module('r', 'n', 'relay-bank-1-low', 'Relay', 'p')->plan();
        self::assertSame([], self::found($plan, 'supply-in-circle'));
        self::assertCount(1, self::found($plan, 'board-unfed'));
        self::assertSame([], self::found($plan, 'board-input-unfit'));
    }

    private static function neighbours(): Sketch
    {
        return self::sketch()
            ->node('a', 'A', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'a', 'plug-5v-1a', 'Plug', more: ['cableM' => 20, 'cableMm2' => 0.5])
            ->node('b', 'B', NodeKind::Controller, null, '8bit-5v-20io')->supply('b-line', 'b', 'line', 'Line', 'plug')
            ->node('c', 'C', NodeKind::Controller, null, '8bit-5v-20io')->supply('c-line', 'c', 'line', 'Line', 'plug')
            ->module('b-relay', 'b', 'relay-bank-1-low', 'Relay', 'b-line');
    }

    /** @return list<string> */
    private static function ids(Plan $plan): array
    {
        $ids = array_map(static fn (Finding $finding): string => $finding->id(), self::checker()->check($plan)->all());
        sort($ids);

        return $ids;
    }

    public function test_what_one_node_draws_is_felt_by_all_that_live_on_the_same_supply(): void
    {
        $sketch = self::neighbours();
        $plan = $sketch->plan();
        $found = self::checker()->check($plan);
        $eight = new Module($sketch->id('eight'), $sketch->id('c'), 'relay-bank-8-low', 'Eight', $sketch->id('c-line'));
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::add($eight)]);
        $after = array_map(static fn (Finding $finding): string => $finding->id(), self::checker()->recheck($edited, $found)->all());
        sort($after);
        self::assertNotSame(self::ids($plan), self::ids($edited->plan));
        self::assertSame(self::ids($edited->plan), $after);
        // And B's page is shown anew: its relay gets less now.
        self::assertTrue($edited->impact()->reaches(ThingKind::Node, $sketch->id('b')));
    }

    public function test_a_strip_that_grows_is_felt_by_whatever_lives_on_the_same_supply(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-1a', 'Plug')
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->supply('line', 'far', 'line', 'Line', 'plug')->supply('step', 'far', 'line', 'Step', 'line')
            ->module('l', 'far', 'strip-pixels', 'Strip', 'step')->output('o', 'far', 'Stairs', OutputKind::Strip, 'l', 'DIN', more: ['settings' => ['pixels' => 10]]);
        $plan = $sketch->plan();
        $found = self::checker()->check($plan);
        self::assertSame([], array_filter($found->all(), static fn (Finding $finding): bool => $finding->rule() === 'weak-rail'));
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::Output, $sketch->id('o'), ['settings' => ['pixels' => 200]])]);
        $whole = self::checker()->check($edited->plan);
        self::assertEquals($whole->byRule(), self::checker()->recheck($edited, $found)->byRule());
        self::assertNotSame([], array_filter($whole->all(), static fn (Finding $finding): bool => $finding->rule() === 'weak-rail'));
    }

    public function test_assign_counts_what_other_nodes_hang_on_a_supply(): void
    {
        // One ampere: 640 mA of B's, and C's would be 640 more, whether by a line or straight.
        foreach (['line' => static fn (Sketch $s): Sketch => $s->supply('line', 'b', 'line', 'Line', 'plug')->module('eight', 'b', 'relay-bank-8-low', 'Eight', 'line'), 'straight' => static fn (Sketch $s): Sketch => $s->module('eight', 'b', 'relay-bank-8-low', 'Eight', 'plug')] as $how => $with) {
            $sketch = $with(self::sketch()
                ->node('a', 'A', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'a', 'plug-5v-1a', 'Plug')
                ->node('b', 'B', NodeKind::Controller, null, '8bit-5v-20io'))->module('more', 'a', 'relay-bank-8-high', 'Eight more');
            $plan = $sketch->assigned();
            self::assertSame([], self::found($plan, 'weak-rail'), $how);
            self::assertSame([], self::assigner()->assign($plan)->proposals, $how);
            self::assertSame('Eight', $plan->module($sketch->id('eight'))->name);
            self::assertContains($plan->module($sketch->id('eight'))->supplyId, [$sketch->id('line'), $sketch->id('plug')], $how);
        }
    }

    public function test_two_nodes_that_are_fed_in_one_go_do_not_both_take_the_last_of_a_shared_supply(): void
    {
        $plan = self::sketch()
            ->node('a', 'A', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'a', 'plug-5v-1a', 'Plug')->module('x', 'a', 'relay-bank-8-low', 'X')
            ->node('b', 'B', NodeKind::Controller, null, '8bit-5v-20io')->supply('line', 'b', 'line', 'Line', 'plug')->module('y', 'b', 'relay-bank-8-low', 'Y')
            ->assigned();
        self::assertSame([], self::found($plan, 'weak-rail'));
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_a_line_that_goes_both_ways_gets_a_shifter_and_no_divider(): void
    {
        // A divider after a pull-up leaves neither a high nor a low: one-wire sensors and I²C are pulled low from both ends.
        foreach ([['sensor-temperature', 'DATA', 'GP2', [PartKind::PullUp, PartKind::Shifter]], ['display-i2c', 'SDA', 'GP0', [PartKind::Shifter]]] as [$class, $terminal, $pin, $kinds]) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('m', 'n', $class, 'Part', FedFrom::Board5V)->wire('m', $terminal, $pin);
            $found = self::found($sketch->plan(), 'level-too-high');
            self::assertCount(1, $found);
            $after = (new Editor(self::knowledge()))->apply($sketch->plan(), $found[0]->fix->operations ?? [])->plan;
            self::assertEqualsCanonicalizing($kinds, array_map(static fn (Part $part): PartKind => $part->kind, $after->of(Part::class)));
            self::assertSame([], self::found($after, 'level-too-high'));
            // One that is there already does not count.
            self::assertCount(1, self::found($sketch->part('m', $terminal, PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 1800])->plan(), 'level-too-high'), $class);
        }
    }

    public function test_the_fuse_that_is_proposed_is_one_that_the_cable_stands(): void
    {
        // 1.25 · 0.64 A · … asks for more than a wire of 0.05 mm² carries: no fuse is right there.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('b', 'n', 'lead-12v', 'Battery', more: ['cableM' => 1, 'cableMm2' => 0.05])->supply('k', 'n', 'buck', 'Buck', 'b')->module('r', 'n', 'relay-bank-8-low', 'Relays', 'k')->plan();
        $found = self::found($plan, 'fuse-missing');
        self::assertCount(1, $found);
        self::assertNull($found[0]->fix);
    }

    public function test_what_was_said_of_a_weak_pin_is_said_still(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('x', 'n', 'packet-radio-amplified', 'Radio', FedFrom::Board3V3)->plan();
        self::assertSame(['peak_ma' => 125.0, 'limit_ma' => 50.0, 'rail_v' => 3.3], self::found($plan, 'weak-rail')[0]->numbers);
    }

    public function test_a_supply_of_another_node_is_found_from_both_sides(): void
    {
        $plan = self::neighbours()->plan();
        $tree = new SupplyTree($plan, self::knowledge()->catalogue);
        self::assertSame(80.0, $tree->load($plan->supply(self::neighbours()->id('plug')))->peakMa);
    }
}
