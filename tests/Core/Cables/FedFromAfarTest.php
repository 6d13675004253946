<?php

declare(strict_types=1);

namespace Tests\Core\Cables;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Current comes by wires: what lives on a supply of another box wants a cable, and what is carried about has none. */
final class FedFromAfarTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, list<string>}> what is there besides two boxes and a plug at one, titles */
    public static function plans(): iterable
    {
        $relay = static fn (string $supply): Closure => static fn (Sketch $s): Sketch => $s->module('m', 'b', 'relay-bank-1-high', 'Relay', $supply);
        $lives = 'Relay of Bench lives on Plug of Attic, and no cable lies between';
        yield 'what lives on its own' => [static fn (Sketch $s): Sketch => $relay('own')($s->supply('own', 'b', 'plug-5v-1a', 'Own')), []];
        yield 'what lives next door' => [$relay('plug'), [$lives]];
        yield 'by a cable that is laid' => [static fn (Sketch $s): Sketch => $relay('plug')($s)->cable('c', 'b', 'a', 'Lead'), []];
        yield 'by one of which the supply says how long it is' => [static fn (Sketch $s): Sketch => $relay('plug')($s)->change(ThingKind::Supply, 'plug', ['cableM' => 3.0, 'cableMm2' => 0.5]), []];
        yield 'a regulator that lives next door' => [static fn (Sketch $s): Sketch => $s->supply('r', 'b', 'regulator-adapter', 'Adapter', 'plug'), ['Adapter of Bench lives on Plug of Attic, and no cable lies between']];
        yield 'both of them, said once' => [static fn (Sketch $s): Sketch => $relay('plug')($s)->supply('r', 'b', 'regulator-adapter', 'Adapter', 'plug'), ['Relay, Adapter of Bench live on Plug of Attic, and no cable lies between']];
        yield 'its signal side alone' => [static fn (Sketch $s): Sketch => $s->supply('own', 'b', 'plug-5v-1a', 'Own')->module('m', 'b', 'relay-bank-1-low', 'Relay', 'own', ['signalSupplyId' => $s->id('plug')]), [$lives]];
        yield 'both of its sides, named once' => [static fn (Sketch $s): Sketch => $s->module('m', 'b', 'relay-bank-1-low', 'Relay', 'plug', ['signalSupplyId' => $s->id('plug')]), [$lives]];
        yield 'the pin of a board, whatever a plan says of it' => [static fn (Sketch $s): Sketch => $s->supply('own', 'b', 'plug-5v-1a', 'Own', null, FeedsAt::Usb)->supply('pin', 'b', 'board-5v', 'Pin', 'plug'), []];
        yield 'one by a cable, and another without' => [static fn (Sketch $s): Sketch => $relay('plug')($s)->cable('c', 'b', 'a', 'Lead')->node('d', 'Den', NodeKind::Controller, null, '8bit-5v-20io')->module('eye', 'd', 'sensor-motion', 'Eye', 'plug'), ['Eye of Den lives on Plug of Attic, and no cable lies between']];
        yield 'a handset, cable or not' => [static fn (Sketch $s): Sketch => $s->node('h', 'Fob', NodeKind::Handset, null, '8bit-5v-20io')->module('m', 'h', 'sensor-motion', 'Eye', 'plug')->cable('c', 'h', 'a', 'Lead'), ['Eye of Fob lives on Plug of Attic, and Fob is carried about']];
        yield 'on what is in a handset' => [static fn (Sketch $s): Sketch => $s->node('h', 'Fob', NodeKind::Handset, null, '8bit-5v-20io')->supply('cell', 'h', 'alkaline-4', 'Cells')->module('m', 'b', 'sensor-motion', 'Eye', 'cell'), ['Eye of Bench lives on Cells of Fob, and Fob is carried about']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $more
     * @param  list<string>  $titles
     */
    #[DataProvider('plans')]
    public function test_what_lives_next_door_says_by_what_wire(Closure $more, array $titles): void
    {
        $plan = $more(self::sketch()->node('a', 'Attic', NodeKind::Controller, null, '8bit-5v-20io')->node('b', 'Bench', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'a', 'plug-5v-1a', 'Plug', null, FeedsAt::Usb))->plan();
        $found = self::found($plan, 'fed-from-afar');
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, $found));
        foreach ($found as $finding) {
            self::assertSame(str_contains($finding->title, 'carried') ? Severity::Fault : Severity::Advice, $finding->severity);
            if ($finding->fix !== null) {
                $after = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                self::assertSame([], self::found($after, 'fed-from-afar'));
                // Plus and ground are on cores already.
                self::assertCount(count($plan->of(Cable::class)) + 1, $after->of(Cable::class));
                self::assertSameSize(self::found($plan, 'cable-cores-run-out'), self::found($after, 'cable-cores-run-out'), 'and what that carries is on its cores');
            }
        }
        if ($found !== [] && $found[0]->severity === Severity::Fault) {
            // Assign feeds it from what is in its own box.
            self::assertSame([], self::found(self::assigner()->assign($plan)->plan, 'fed-from-afar'));
        }
    }

    public function test_what_is_said_of_two_boxes_and_of_two_supplies_is_said_of_each(): void
    {
        $plan = self::sketch()->node('a', 'Attic', NodeKind::Controller, null, '8bit-5v-20io')->node('b', 'Bench', NodeKind::Controller, null, '8bit-5v-20io')->node('d', 'Den', NodeKind::Controller, null, '8bit-5v-20io')
            ->supply('one', 'a', 'plug-5v-1a', 'One')->supply('two', 'a', 'plug-12v-2a', 'Two')
            ->module('m', 'b', 'sensor-motion', 'Eye', 'one')->module('k', 'b', 'sensor-motion', 'Other eye', 'two')->module('x', 'd', 'sensor-motion', 'Third eye', 'one')->plan();
        $found = self::found($plan, 'fed-from-afar');
        self::assertCount(3, $found);
        self::assertCount(3, array_unique(array_map(static fn (Finding $finding): string => $finding->id(), $found)));
    }

    public function test_what_is_carried_tells_box_from_box_and_supply_from_supply_too(): void
    {
        $plan = self::sketch()->node('a', 'Attic', NodeKind::Controller, null, '8bit-5v-20io')->node('h', 'Fob', NodeKind::Handset, null, '8bit-5v-20io')->node('g', 'Gadget', NodeKind::Handset, null, '8bit-5v-20io')
            ->supply('one', 'a', 'plug-5v-1a', 'One')->supply('two', 'a', 'plug-5v-3a', 'Two')
            ->module('m', 'h', 'sensor-motion', 'Eye', 'one')->module('k', 'h', 'sensor-motion', 'Other eye', 'two')->module('x', 'g', 'sensor-motion', 'Third eye', 'one')->plan();
        $found = self::found($plan, 'fed-from-afar');
        self::assertSame([Severity::Fault, Severity::Fault, Severity::Fault], array_column($found, 'severity'));
        self::assertCount(3, array_unique(array_map(static fn (Finding $finding): string => $finding->id(), $found)));
    }

    /** Plus of each supply and one ground, in pairs, four at least. */
    #[TestWith([1, 4])]
    #[TestWith([3, 4])]
    #[TestWith([4, 6])]
    #[TestWith([5, 6])]
    #[TestWith([6, 8])]
    public function test_the_cable_has_cores_for_all_that_lives_next_door(int $supplies, int $cores): void
    {
        $sketch = self::sketch()->node('a', str_repeat('Attic-', 8), NodeKind::Controller, null, '8bit-5v-20io')->node('b', str_repeat('Bench-', 8), NodeKind::Controller, null, '8bit-5v-20io');
        for ($nth = 1; $nth <= $supplies; $nth++) {
            $sketch = $sketch->supply("s{$nth}", 'a', 'plug-5v-1a', "Plug {$nth}")->module("m{$nth}", 'b', 'sensor-motion', "Eye {$nth}", "s{$nth}");
        }
        $plan = $sketch->plan();
        $fix = self::found($plan, 'fed-from-afar')[0]->fix;
        self::assertSame("Lay a cable of {$cores} cores in pairs", $fix?->label);
        $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
        $cable = $after->of(Cable::class)[0];
        self::assertSame([$cores, true, 'Attic-Attic-Attic-Attic-Attic-Attic-Attic-Attic- – Bench-Bench-Bench-Bench-Bench', $sketch->id('a'), $sketch->id('b')], [$cable->cores, $cable->twisted, $cable->name, $cable->fromId, $cable->toId]);
        self::assertCount($supplies + 1, $cable->uses);
        self::assertSame([], self::found($after, 'fed-from-afar'));
        self::assertSame([], self::found($after, 'cable-cores-run-out'));
    }
}
