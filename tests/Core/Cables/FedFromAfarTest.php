<?php

declare(strict_types=1);

namespace Tests\Core\Cables;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
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
                self::assertCount(1, $after->of(Cable::class));
                self::assertSame([], self::found($after, 'cable-cores-run-out'));
            }
        }
        if ($found !== [] && $found[0]->severity === Severity::Fault) {
            // Assign feeds it from what is in its own box.
            self::assertSame([], self::found(self::assigner()->assign($plan)->plan, 'fed-from-afar'));
        }
    }
}
