<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\PartsList;
use Rundfunk\Catalogue\OwnClass;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Meanwhile;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problem;
use Rundfunk\Shipped;
use Rundfunk\View\Shown\OwnClasses;
use Tests\Core\CoreTestCase;

/** Boards and modules that the catalogue does not have: what a plan says of them is what it is judged by. */
final class OwnClassTest extends CoreTestCase
{
    /** Whoever described a copy of such a class wrote all of these down, and a copy may have no other: one that goes makes stored plans unreadable. As of 25 November 2026. */
    private const FIGURES = [
        'can-spi-3v3' => ['clockDivided', 'filters', 'masks'],
        'can-spi-5v' => ['clockDivided', 'filters', 'masks'],
        'can-transceiver-3v3' => ['clockDivided'],
        'can-transceiver-5v' => ['clockDivided'],
        'diode-or-8' => ['gathers', 'levels', 'returning'],
        'dmx-bridge-usb' => ['bridge', 'usb'],
        'dmx-bridge' => ['bridge'],
        'dmx-driver-3v3' => ['unitLoads'],
        'dmx-driver-5v' => ['unitLoads'],
        'dmx-driver-isolated' => ['isolated', 'unitLoads'],
        'dmx-receiver-3v3' => ['unitLoads'],
        'dmx-receiver-5v' => ['unitLoads'],
        'dmx-splitter-4' => ['isolated', 'outputs', 'unitLoads'],
        'dmx-wire' => ['bare'],
        'infrared-both' => ['driven', 'dropV'],
        'infrared-emitter-pin' => ['driven', 'dropV'],
        'infrared-emitter' => ['driven', 'dropV'],
        'keyed-receiver-4-latched' => ['answers'],
        'keyed-receiver-4-momentary' => ['answers'],
        'keyed-receiver-4-toggle' => ['answers'],
        'modem-2g' => ['burstA', 'burstS', 'generation', 'inputMaxV', 'outputV', 'periodS'],
        'modem-lte-eu' => ['generation', 'inputMaxV', 'outputV', 'variant'],
        'modem-lte-us' => ['generation', 'inputMaxV', 'outputV', 'variant'],
        'rs232-converter' => ['baudMost', 'levels'],
        'rs232-isolated' => ['baudMost', 'isolated', 'levels'],
        'rs485-3v3' => ['baudMost', 'levels', 'unitLoads'],
        'rs485-5v' => ['baudMost', 'levels', 'unitLoads'],
        'rs485-isolated' => ['baudMost', 'isolated', 'levels', 'unitLoads'],
        'sensor-climate' => ['leastIntervalS'],
        'sensor-temperature' => ['leastIntervalS'],
        'serial-wire' => ['levels'],
    ];

    private static function sketched(): Sketch
    {
        $sketch = self::sketch()->describe(ThingKind::OwnBoard, 'b', 'Old board', '8bit-5v-20io')->describe(ThingKind::OwnModule, 'r', 'Big relays', 'relay-bank-2-high');

        return $sketch->node('n', 'Shed', NodeKind::Controller, null, $sketch->classOf('b'))->module('m', 'n', $sketch->classOf('r'), 'Relays')->output('o', 'n', 'Lamp', OutputKind::Relay, 'm', 'IN1');
    }

    public function test_no_class_loses_a_figure_that_a_stored_copy_of_it_says(): void
    {
        foreach (self::FIGURES as $class => $figures) {
            self::assertSame([], array_values(array_diff($figures, array_keys(self::knowledge()->catalogue->modules[$class]->figures))), $class);
        }
    }

    public function test_a_copy_described_before_there_was_such_a_figure_has_that_of_its_class(): void
    {
        $board = array_diff_key(OwnClass::description('wifi-3v3-26io', self::knowledge()->catalogue), ['floatsAsleep' => true]);
        $register = OwnClass::description('shift-register-8', self::knowledge()->catalogue);
        self::assertIsArray($register['offers']);
        unset($register['offers']['pinCurrent']);
        $sketch = self::sketch()->describe(ThingKind::OwnBoard, 'b', 'Old board', 'wifi-3v3-26io', $board)->describe(ThingKind::OwnModule, 'x', 'Old register', 'shift-register-8', $register);
        $plan = $sketch->node('n', 'Shed', NodeKind::Controller, null, $sketch->classOf('b'))->module('m', 'n', $sketch->classOf('x'), 'Register')->plan();
        $catalogue = self::knowledge()->of($plan)->catalogue;
        self::assertTrue($catalogue->boardOf($plan->nodes()[0])?->floatsAsleep);
        self::assertSame(6.0, $catalogue->classOf($plan->modules()[0])->offeredCurrent?->advisedMa);
    }

    public function test_a_copy_as_it_stands_is_judged_and_assigned_as_what_it_was_copied_from(): void
    {
        $own = self::sketched()->assigned();
        $shipped = self::sketch()->node('n', 'Shed', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'relay-bank-2-high', 'Relays')->output('o', 'n', 'Lamp', OutputKind::Relay, 'm', 'IN1')->assigned();
        self::assertSame(self::titles($shipped), self::titles($own));
        self::assertSame(self::wires($shipped), self::wires($own));
        $header = (new CHeader(self::knowledge()))->write($own, $own->node(self::sketched()->id('n')));
        self::assertStringContainsString('Board: Old board', $header);
        self::assertSame(['Old board', 'Big relays'], array_slice(array_column(PartsList::of($own, self::knowledge())->lines, 'what'), 0, 2));
    }

    public function test_every_class_of_the_catalogue_can_be_copied_and_used(): void
    {
        $catalogue = self::knowledge()->catalogue;
        foreach ([...array_map(static fn (string $key): array => [ThingKind::OwnBoard, $key], array_keys($catalogue->boards)), ...array_map(static fn (string $key): array => [ThingKind::OwnModule, $key], array_keys($catalogue->modules))] as [$kind, $key]) {
            $sketch = self::sketch()->describe($kind, 'own', 'Own', $key);
            $class = $sketch->classOf('own');
            $plan = $kind === ThingKind::OwnBoard ? $sketch->node('n', 'N', NodeKind::Controller, null, $class)->assigned() : $sketch->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('m', 'n', $class, 'M')->assigned();
            // As a file, and back: judged by the same schema as the shipped ones.
            $read = (new PlanReader(self::knowledge()))->read((new PlanWriter)->write($plan));
            self::assertEquals($plan->all($kind), $read->all($kind), $key);
            $bound = $catalogue->with($plan);
            $kind === ThingKind::OwnBoard ? self::assertEquals($catalogue->boards[$key]->pins, $bound->boards[$class]->pins, $key) : self::assertEquals($catalogue->modules[$key]->terminals, $bound->modules[$class]->terminals, $key);
        }
    }

    public function test_an_edit_of_a_class_is_felt_by_all_that_are_of_it(): void
    {
        $sketch = self::sketched();
        $plan = $sketch->node('far', 'Far', NodeKind::Controller, null, $sketch->classOf('b'))->supply('f', 'far', 'plug-5v-1a', 'Plug')->module('fm', 'far', $sketch->classOf('r'), 'More', 'f')->plan();
        $found = self::checker()->check($plan);
        self::assertNotContains('supply-too-high', array_map(static fn (Finding $finding): string => $finding->rule(), $found->all()));
        $class = $plan->find(ThingKind::OwnModule, $sketch->id('r'));
        self::assertNotNull($class);
        $description = [...$class->values()['description'], 'supply' => ['minV' => 2.7, 'maxV' => 3.6, 'typicalMa' => 8.0, 'peakMa' => 160.0]];
        $edited = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::OwnModule, $sketch->id('r'), ['description' => $description])]);
        $after = self::checker()->recheck($edited, $found);
        self::assertEquals(self::checker()->check($edited->plan)->byRule(), $after->byRule());
        self::assertContains('More gets 5 V from Plug and stands 3.6', array_column($after->all(), 'title'));
        self::assertTrue($edited->impact()->reaches(ThingKind::Node, $sketch->id('far')));
        // And back.
        self::assertEquals($plan->all(ThingKind::OwnModule), (new Editor(self::knowledge()))->apply($edited->plan, $edited->inverse)->plan->all(ThingKind::OwnModule));
    }

    public function test_what_is_used_cannot_be_taken_away_and_says_by_whom(): void
    {
        $sketch = self::sketched();
        $plan = $sketch->plan();
        self::assertSame(['cannot take Old board away: Shed is one'], self::refusals($plan, Operation::remove(ThingKind::OwnBoard, $sketch->id('b'))));
        self::assertSame(['cannot take Big relays away: Relays is one'], self::refusals($plan, Operation::remove(ThingKind::OwnModule, $sketch->id('r'))));
        $editor = new Editor(self::knowledge());
        $edited = $editor->apply($plan, [Operation::change(ThingKind::Node, $sketch->id('n'), ['board' => '8bit-5v-20io']), Operation::remove(ThingKind::OwnBoard, $sketch->id('b'))]);
        self::assertNull($edited->plan->find(ThingKind::OwnBoard, $sketch->id('b')));
        self::assertSame((new PlanWriter)->write($plan), (new PlanWriter)->write($editor->apply($edited->plan, $edited->inverse)->plan));
        // With all that are of it, it may go in one edit too.
        self::assertCount(0, $editor->apply($plan, [Operation::remove(ThingKind::Node, $sketch->id('n')), Operation::remove(ThingKind::OwnModule, $sketch->id('r'))])->plan->all(ThingKind::OwnModule));
    }

    public function test_a_class_that_somebody_took_away_meanwhile_cannot_be_chosen(): void
    {
        $sketch = self::sketch()->describe(ThingKind::OwnBoard, 'b', 'Old board', '8bit-5v-20io')->node('n', 'N', NodeKind::Controller, null, null);
        $plan = $sketch->plan();
        $remove = Operation::remove(ThingKind::OwnBoard, $sketch->id('b'));
        $now = (new Editor(self::knowledge()))->apply($plan, [$remove])->plan;
        self::assertSame('The ownBoard that it is about is gone.', (new Meanwhile($now, [$remove]))->against([Operation::change(ThingKind::Node, $sketch->id('n'), ['board' => $sketch->classOf('b')])]));
    }

    /** @return iterable<string, array{ThingKind, string, array<string, mixed>, string}> kind, copied from, what is otherwise, what is said */
    public static function refused(): iterable
    {
        $pin = ['name' => 'D0', 'can' => ['digital-in']];
        yield 'no such class' => [ThingKind::OwnBoard, 'nothing', [], '/copyOf names no board of the catalogue: "nothing"'];
        yield 'a module as a board' => [ThingKind::OwnBoard, 'button-pad-1', [], '/copyOf names no board of the catalogue: "button-pad-1"'];
        yield 'two pins of one name' => [ThingKind::OwnBoard, '8bit-5v-20io', ['pins' => [$pin, $pin]], '/description/pins/1/name is used twice: "D0"'];
        yield 'a pin that can fly' => [ThingKind::OwnBoard, '8bit-5v-20io', ['pins' => [['name' => 'D0', 'can' => ['fly']]]], '/description/pins/0/can/0 '];
        yield 'volts in words' => [ThingKind::OwnBoard, '8bit-5v-20io', ['logicV' => 'five'], '/description/logicV '];
        yield 'volts beyond reason' => [ThingKind::OwnBoard, '8bit-5v-20io', ['logicV' => 1e300], '/description/logicV must be a number from -1000000 to 1000000'];
        yield 'a field that nobody knows' => [ThingKind::OwnBoard, '8bit-5v-20io', ['colour' => 'red'], '/description '];
        yield 'a thousand pins' => [ThingKind::OwnBoard, '8bit-5v-20io', ['pins' => array_fill(0, 1000, $pin)], '/description/pins holds more than 150 items'];
        yield 'a name with a bell in it' => [ThingKind::OwnBoard, '8bit-5v-20io', ['pins' => [['name' => "D\x070", 'can' => ['digital-in']]]], '/description/pins/0/name must be text of 1 to 400 characters'];
        yield 'a radio without the terminals that its medium speaks by' => [ThingKind::OwnModule, 'packet-radio-plain', ['terminals' => []], '/description/terminals must hold CE, by which its medium speaks'];
        yield 'a modem without its figures' => [ThingKind::OwnModule, 'modem-2g', ['figures' => ['nonsense' => 1]], '/description/figures/'];
        yield 'a radio that says no power' => [ThingKind::OwnModule, 'packet-radio-amplified', ['radio' => null], '/description/radio must be there, as with the class that it is a copy of'];
        yield 'a radio without levels' => [ThingKind::OwnModule, 'packet-radio-amplified', ['levels' => null], '/description/levels must be there, as with the class that it is a copy of'];
        yield 'another medium' => [ThingKind::OwnModule, 'button-pad-1', ['medium' => 'cellular'], '/description '];
    }

    /** @param  array<string, mixed>  $otherwise */
    #[DataProvider('refused')]
    public function test_a_description_that_the_catalogue_would_not_take_is_refused(ThingKind $kind, string $copyOf, array $otherwise, string $says): void
    {
        $values = ['name' => 'Own', 'copyOf' => $copyOf, 'description' => $otherwise === [] ? null : array_filter([...OwnClass::description($copyOf, self::knowledge()->catalogue), ...$otherwise], static fn (mixed $one): bool => $one !== null)];
        $refusals = [];
        try {
            (new Editor(self::knowledge()))->apply(self::sketch()->plan(), [Operation::from(['op' => 'add', 'kind' => $kind->value, 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => $values], '')]);
        } catch (PlanRefused $refused) {
            $refusals = array_map(static fn (Problem $problem): string => substr($problem->place, strlen('/operations/0/values'))." {$problem->message}", $refused->problems);
        }
        self::assertNotSame([], array_filter($refusals, static fn (string $one): bool => str_starts_with($one, $says)), implode("\n", $refusals));
    }

    public function test_what_it_describes_is_offered_beside_the_catalogue(): void
    {
        $sketch = self::sketched();
        $shown = Shipped::views()->show('own-classes', [], $sketch->plan())[0]['shows'];
        self::assertInstanceOf(OwnClasses::class, $shown);
        self::assertSame([$sketch->classOf('b'), 'Old board', 20], [$shown->boards[0]->key, $shown->boards[0]->name, count($shown->boards[0]->pins)]);
        self::assertSame([$sketch->classOf('r'), 'relay', 160.0], [$shown->modules[0]->key, $shown->modules[0]->carries, $shown->modules[0]->peakMa]);
    }

    public function test_a_plan_may_describe_fifty(): void
    {
        $sketch = self::sketch();
        for ($number = 0; $number < 50; $number++) {
            $sketch->describe(ThingKind::OwnBoard, "b{$number}", "Board {$number}", '8bit-5v-70io');
        }
        $plan = $sketch->plan();
        $more = new OwnBoard('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'One more', '8bit-5v-20io');
        self::assertSame(['would make more than 50 ownBoards'], self::refusals($plan, Operation::add($more)));
    }

    /** @return list<string> */
    private static function refusals(Plan $plan, Operation $operation): array
    {
        try {
            (new Editor(self::knowledge()))->apply($plan, [$operation]);
        } catch (PlanRefused $refused) {
            return array_map(static fn (Problem $problem): string => $problem->message, $refused->problems);
        }

        return [];
    }

    /** @return list<string> */
    private static function titles(Plan $plan): array
    {
        return array_map(static fn (Finding $finding): string => "{$finding->rule()}: {$finding->title}", self::checker()->check($plan)->all());
    }

    /** @return array<string, string> */
    private static function wires(Plan $plan): array
    {
        return array_column(array_map(static fn ($use): array => [$use->terminal, $use->pin], $plan->pinUses()), 1, 0);
    }
}
