<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\Feeding;
use Rundfunk\Power\Island;
use Tests\Core\CoreTestCase;

/**
 * What is bought for a thing of given limits, by hand from what the classes of supplies say of themselves: plugs of 5 V within 5 % (an ampere) and 3 %
 * (three), of 12 V within 5 %; regulators of 3.3 V within 2 %, of 5 V within 4 % that keep 2 V, one to be set from 0.8 to 17 V within 2 % that keeps 0.8.
 */
final class FeedingTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, array{float, float, float}, list<array{string, float|null}>|null}> what is there; least and most volts, peak milliamperes; what feeds it, from the nearest up, with what it is set to */
    public static function wants(): iterable
    {
        $bare = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, null);
        $bench = static fn (float $volts): Closure => static fn (Sketch $s): Sketch => $bare($s)->supply('b', 'n', 'bench', 'Bench', null, null, ['volts' => $volts]);
        $board = static fn (string $class, string $source, FeedsAt $at): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $class)->supply('f', 'n', $source, 'Feed', null, $at);

        yield 'five volts within a twentieth' => [$bare, [4.75, 5.25, 100.0], [['plug-5v-1a', null]]];
        yield 'a hair closer below' => [$bare, [4.76, 5.25, 100.0], [['plug-5v-3a', null]]];
        yield 'a hair closer above' => [$bare, [4.75, 5.24, 100.0], [['plug-5v-3a', null]]];
        yield 'closer than any plug' => [$bare, [4.86, 5.15, 100.0], [['buck', 5.0], ['plug-12v-2a', null]]];
        yield 'all that an ampere is' => [$bare, [4.5, 5.5, 1_000.0], [['plug-5v-1a', null]]];
        yield 'a milliampere more' => [$bare, [4.5, 5.5, 1_001.0], [['plug-5v-3a', null]]];
        yield 'three amperes' => [$bare, [4.5, 5.5, 3_000.0], [['plug-5v-3a', null]]];
        yield 'more than any gives' => [$bare, [4.5, 5.5, 3_001.0], null];
        yield 'twelve volts' => [$bare, [11.0, 13.0, 2_000.0], [['plug-12v-2a', null]]];
        yield '3.3 V by the common adapter' => [$bare, [3.2, 3.4, 500.0], [['regulator-adapter', null], ['plug-5v-1a', null]]];
        yield 'three volts, which have to be set' => [$bare, [2.9, 3.1, 500.0], [['buck', 3.0], ['plug-5v-1a', null]]];
        yield 'as low as it can be set' => [$bare, [0.7, 0.9, 500.0], [['buck', 0.8], ['plug-5v-1a', null]]];
        yield 'lower' => [$bare, [0.6, 0.8, 500.0], null];
        yield 'as high as it can be set, from twenty' => [$bench(20.0), [16.5, 17.5, 500.0], [['buck', 17.0], ['bench', 20.0]]];
        yield 'higher' => [$bench(20.0), [17.2, 18.0, 500.0], null];
        yield 'what is there and suits, just within its 2 %' => [$bench(9.0), [8.82, 9.18, 500.0], [['bench', 9.0]]];
        yield 'closer than anything is' => [$bench(9.0), [8.83, 9.17, 500.0], null];
        yield 'the pin of a board' => [$board('8bit-5v-20io', 'plug-5v-3a', FeedsAt::Usb), [4.5, 5.5, 450.0], [['board-5v', null]]];
        yield 'more than the pin gives' => [$board('8bit-5v-20io', 'plug-5v-3a', FeedsAt::Usb), [4.5, 5.5, 451.0], [['plug-5v-3a', null]]];
        yield 'what the board is fed from has no room' => [$board('8bit-5v-20io', 'plug-5v-1a', FeedsAt::FiveVolt), [4.5, 5.5, 951.0], [['plug-5v-1a', null]]];
        yield 'and has' => [$board('8bit-5v-20io', 'plug-5v-1a', FeedsAt::FiveVolt), [4.5, 5.5, 950.0], [['board-5v', null]]];
        $lit = static fn (Closure $before): Closure => static fn (Sketch $s): Sketch => $before($s)->module('l', 'n', 'indicator-lamp', 'Lamp')->wire('l', 'LED', 'D4');
        yield 'but for a lamp on the board\'s pin' => [$lit($board('8bit-5v-20io', 'plug-5v-1a', FeedsAt::FiveVolt)), [4.5, 5.5, 950.0], [['plug-5v-1a', null]]];
        yield 'room beside the lamp' => [$lit($board('8bit-5v-20io', 'plug-5v-1a', FeedsAt::FiveVolt)), [4.5, 5.5, 946.8], [['board-5v', null]]];
        // With a cell at its charger it lives on that; plugged in, on the socket: 350 mA for itself, 100 for the cell, and what hangs on its pins.
        $charged = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-13io')->supply('c', 'n', 'li-ion-cell', 'Cell', null, FeedsAt::Cell)->supply('u', 'n', 'bench', 'Socket', null, FeedsAt::Usb, ['volts' => 5.0, 'limitMa' => 500]);
        yield 'what a socket bears beside a charge' => [$charged, [2.7, 3.5, 50.0], [['board-3v3', null]]];
        // 51 mA straight through are one too many; brought down to 3.1 V by a buck they are 37.
        yield 'and what it does not' => [$charged, [2.7, 3.5, 51.0], [['buck', 3.1], ['bench', 5.0]]];
        // 2 m of 0.5 mm² there and back are 0.138 Ω: 1.8 A lose 0.248 of 5 V, 1.82 lose 0.251, more than a twentieth.
        $cabled = static fn (Sketch $s): Sketch => $bare($s)->supply('f', 'n', 'bench', 'Far', more: ['volts' => 5.0, 'cableM' => 2.0, 'cableMm2' => 0.5]);
        yield 'what a cable loses' => [$cabled, [4.0, 5.5, 1_800.0], [['bench', 5.0]]];
        yield 'and too much of it' => [$cabled, [4.0, 5.5, 1_820.0], [['plug-5v-3a', null]]];
        // A board that wants 4.75 V at its pin, 50 mA, and a bench supply of 4.9 at the least at the end of that cable: 1.05 A leave 4.755 V, 1.11 leave 4.747.
        $boardAtEnd = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('f', 'n', 'bench', 'Far', null, FeedsAt::FiveVolt, ['volts' => 5.0, 'cableM' => 2.0, 'cableMm2' => 0.5]);
        yield 'what leaves a board its volts' => [$boardAtEnd, [4.0, 5.5, 1_000.0], [['board-5v', null]]];
        yield 'and what does not' => [$boardAtEnd, [4.0, 5.5, 1_060.0], [['plug-5v-3a', null]]];
        // And a sensor of 160 mA that wants 4.75 V there: the same amperes.
        $sensorAtEnd = static fn (Sketch $s): Sketch => $cabled($s)->module('g', 'n', 'sensor-gas', 'Gas', 'f');
        yield 'what leaves another thing its volts' => [$sensorAtEnd, [4.0, 5.5, 890.0], [['bench', 5.0]]];
        yield 'and what leaves it too little' => [$sensorAtEnd, [4.0, 5.5, 950.0], [['plug-5v-1a', null]]];
        // Beside it without the cable nobody loses anything.
        $besideIt = static fn (Sketch $s): Sketch => $bare($s)->supply('f', 'n', 'bench', 'Near', more: ['volts' => 5.0])->module('g', 'n', 'sensor-gas', 'Gas', 'f');
        yield 'no cable, no loss' => [$besideIt, [4.0, 5.5, 950.0], [['bench', 5.0]]];
        // A motor on what is there takes ten times its plate while it starts: 2.8 A and 0.1 beside, then 3 and 0.1.
        $motor = static fn (float $watts): Closure => static fn (Sketch $s): Sketch => $bare($s)->supply('f', 'n', 'plug-5v-3a', 'There')->load('l', 'Motor', null, null, LoadKind::Motor, $watts, ['supplyId' => $s->id('f'), 'use' => 'always-on']);
        yield 'what a motor leaves while it starts' => [$motor(1.4), [4.5, 5.5, 100.0], [['plug-5v-3a', null]]];
        yield 'what it does not' => [$motor(1.5), [4.5, 5.5, 100.0], [['plug-5v-1a', null]]];
        yield 'the weak pin' => [$board('8bit-5v-20io', 'plug-5v-3a', FeedsAt::Usb), [3.1, 3.5, 50.0], [['board-3v3', null]]];
        yield 'more than the weak pin gives' => [$board('8bit-5v-20io', 'plug-5v-3a', FeedsAt::Usb), [3.1, 3.5, 51.0], [['regulator-adapter', null], ['board-5v', null]]];
    }

    /**
     * @param  Closure(Sketch): Sketch  $there
     * @param  array{float, float, float}  $wants
     * @param  list<array{string, float|null}>|null  $expected
     */
    #[DataProvider('wants')]
    public function test_it_gets_the_cheapest_that_is_sound(Closure $there, array $wants, ?array $expected): void
    {
        [$leastV, $mostV, $peakMa] = $wants;
        $sketch = $there(self::sketch())->describe(ThingKind::OwnModule, 'c', 'Own', 'clock-i2c', ['supply' => ['minV' => $leastV, 'maxV' => $mostV, 'typicalMa' => 1.0, 'peakMa' => $peakMa]]);
        $plan = $sketch->module('m', 'n', $sketch->classOf('c'), 'Part')->plan();
        $catalogue = self::knowledge()->of($plan)->catalogue;
        $module = $plan->module($sketch->id('m'));
        $island = Island::around($plan, $plan->node($sketch->id('n')));
        self::assertNotNull($island);
        $choice = Feeding::best($island, $catalogue, $module);
        if ($choice === null || $expected === null) {
            self::assertSame($expected, $choice);

            return;
        }
        $fed = $choice->in($plan);
        $chain = [];
        for ($supply = $choice->supply; $supply !== null; $supply = $supply->parentId === null ? null : $fed->supply($supply->parentId)) {
            $chain[] = [$supply->class, $supply->volts];
        }
        self::assertSame($expected, $chain);
        self::assertSame($choice->supply->id, $fed->module($module->id)->supplyId);
        // Whatever was bought comes after what is there; a board's pin only gets its name.
        $bought = array_filter($fed->suppliesOf($fed->node($sketch->id('n'))), static fn (Supply $one): bool => $plan->find(Supply::kind(), $one->id) === null && ! str_starts_with($one->class, 'board-'));
        self::assertSame([], array_filter($bought, static fn (Supply $one): bool => $one->order !== ($one->class === 'regulator-adapter' ? 90 : 91)));
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, string, string, string}> node and what is there, module, what feeds it in words, why */
    public static function words(): iterable
    {
        $board = static fn (string $class): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $class)->supply('f', 'n', 'plug-5v-3a', 'Feed', null, FeedsAt::Usb);
        $bench = static fn (float $volts, ?int $limitMa): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, null)->supply('b', 'n', 'bench', 'Bench', null, null, ['volts' => $volts, 'limitMa' => $limitMa]);
        yield 'what is there' => [$bench(5.0, 2_000), 'sensor-climate', 'Bench', 'It wants 3 to 5.5 V; 2.5 mA at most, and it is good for 2000 mA.'];
        yield 'what is there, of which nobody knows what it gives' => [static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, null)->supply('b', 'n', 'other', 'Bench', null, null, ['volts' => 5.0]), 'sensor-climate', 'Bench', 'It wants 3 to 5.5 V; 2.5 mA at most.'];
        yield 'a plug' => [$bench(24.0, 10), 'sensor-gas', 'plug-in supply, 5 V 1 A (buy)', 'It wants 4.75 to 5.25 V; 160 mA at most. Nothing that is there gives that; this is the least to buy that does, and it is good for 1000 mA.'];
        yield 'a regulator on what is there' => [$bench(12.0, 2_000), 'packet-radio-plain', 'buck regulator module, adjustable set to 2.8 V (buy)', 'It wants 1.9 to 3.6 V; 13.5 mA at most. Nothing that is there gives that; this is the least to buy that does, and it is good for 2500 mA.'];
        yield 'a regulator, and what it hangs on' => [$bench(24.0, 10), 'packet-radio-plain', '3.3 V regulator adapter on a plug-in supply, 5 V 1 A (buy both)', 'It wants 1.9 to 3.6 V; 13.5 mA at most. Nothing that is there gives that; this is the least to buy that does, and it is good for 800 mA.'];
        // Its highs are as high as its supply: that of the board's own logic comes first, though either would do.
        yield 'as the logic of five volts' => [$board('8bit-5v-20io'), 'sensor-climate', '5V pin', 'It wants 3 to 5.5 V; 2.5 mA at most, and it is good for 450 mA.'];
        yield 'as the logic of 3.3' => [$board('wifi-3v3-26io'), 'sensor-climate', '3V3 pin', 'It wants 3 to 5.5 V; 2.5 mA at most, and it is good for 300 mA.'];
        yield 'before another of the same volts' => [static fn (Sketch $s): Sketch => $board('wifi-3v3-26io')($s)->supply('o', 'n', 'bench', 'Other', null, null, ['volts' => 3.3]), 'sensor-climate', '3V3 pin', 'It wants 3 to 5.5 V; 2.5 mA at most, and it is good for 300 mA.'];
    }

    /** @param  Closure(Sketch): Sketch  $there */
    #[DataProvider('words')]
    public function test_a_proposal_says_what_feeds_it_and_why(Closure $there, string $class, string $words, string $reason): void
    {
        $sketch = $there(self::sketch())->module('m', 'n', $class, 'Part');
        $plan = $sketch->plan();
        $catalogue = self::knowledge()->of($plan)->catalogue;
        $island = Island::around($plan, $plan->node($sketch->id('n')));
        self::assertNotNull($island);
        $choice = Feeding::best($island, $catalogue, $plan->module($sketch->id('m')));
        self::assertNotNull($choice);
        self::assertSame([$words, $reason], [Feeding::words($choice, $catalogue), Feeding::reason($choice, $plan, $catalogue)]);
    }
}
