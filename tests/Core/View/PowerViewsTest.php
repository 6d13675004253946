<?php

declare(strict_types=1);

namespace Tests\Core\View;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\PartLine;
use Rundfunk\Build\PartsList;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Electrical\BatteryLife;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\BatteryHours;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Verdicts;
use Rundfunk\Shipped;
use Rundfunk\View\Shown\LevelRow;
use Rundfunk\View\Shown\NodeLevels;
use Tests\Core\CoreTestCase;

/** Rails of boards worked by hand, and the lists that are made of them. */
final class PowerViewsTest extends CoreTestCase
{
    private static function tree(Plan $plan): SupplyTree
    {
        return new SupplyTree($plan, self::knowledge()->of($plan)->catalogue);
    }

    private static function named(Plan $plan, string $name): Supply
    {
        foreach ($plan->of(Supply::class) as $supply) {
            if ($supply->name === $name) {
                return $supply;
            }
        }
        self::fail("no supply {$name}");
    }

    /** @return iterable<string, array{string, list<array{string, string}>, array<string, array{float, float}>}> board, modules with their supply or pin, typical and peak by supply */
    public static function rails(): iterable
    {
        // Worked by hand, of the catalogue's figures (data sheets of the classes, from memory): plain radio 12/13.5 mA, amplified
        // 45/125, one relay 2/80, four 8/320, adapter 5 for itself; boards 30/50, 70/100, 80/400, 100/500, 30/100, 400/2500.
        yield 'a board alone' => ['8bit-5v-20io', [], ['Feed' => [30.0, 50.0]]];
        yield 'a large board alone' => ['8bit-5v-70io', [], ['Feed' => [70.0, 100.0]]];
        yield 'a small Wi-Fi board alone' => ['wifi-3v3-11io', [], ['Feed' => [80.0, 400.0]]];
        yield 'a larger one' => ['wifi-3v3-26io', [], ['Feed' => [100.0, 500.0]]];
        yield 'a 32-bit board' => ['32bit-3v3-26io', [], ['Feed' => [30.0, 100.0]]];
        yield 'a computer' => ['computer-40pin', [], ['Feed' => [400.0, 2500.0]]];
        yield 'a radio on the weak pin' => ['8bit-5v-20io', [['packet-radio-plain', '3']], ['3V3 pin' => [12.0, 13.5], 'Feed' => [42.0, 63.5]]];
        yield 'four relays on the 5 V pin' => ['8bit-5v-20io', [['relay-bank-4-low', '5']], ['5V pin' => [8.0, 320.0], 'Feed' => [38.0, 370.0]]];
        yield 'a loud radio by its adapter' => ['8bit-5v-20io', [['packet-radio-amplified', 'a']], ['Adapter' => [45.0, 125.0], '5V pin' => [50.0, 130.0], 'Feed' => [80.0, 180.0]]];
        // What has no supply lives on the board's: a lamp 3.1 mA of 4.9 V, of which 1.8 are its diode's, through 1 kΩ; 1.4 of 3.2; a buzzer 30 now and then.
        yield 'a lamp on a pin' => ['8bit-5v-20io', [['indicator-lamp', 'D4']], ['Feed' => [33.0, 53.1]]];
        yield 'on a pin of 3.3 V' => ['32bit-3v3-26io', [['indicator-lamp', 'GP16']], ['Feed' => [31.4, 101.4]]];
        yield 'two, and a buzzer' => ['8bit-5v-20io', [['indicator-lamp', 'D4'], ['buzzer', 'D5'], ['indicator-lamp', 'D6']], ['Feed' => [36.0, 86.2]]];
        yield 'a key on a pin' => ['8bit-5v-20io', [['button-pad-1', 'D4']], ['Feed' => [30.0, 50.0]]];
        yield 'a lamp on none yet' => ['8bit-5v-20io', [['indicator-lamp', '']], ['Feed' => [30.0, 50.0]]];
        yield 'all of these' => ['8bit-5v-70io', [['packet-radio-plain', '3'], ['relay-bank-4-low', '5'], ['packet-radio-amplified', 'a']], ['3V3 pin' => [12.0, 13.5], 'Adapter' => [45.0, 125.0], '5V pin' => [58.0, 450.0], 'Feed' => [140.0, 563.5]]];
    }

    /**
     * @param  list<array{string, string}>  $modules
     * @param  array<string, array{float, float}>  $sums
     */
    #[DataProvider('rails')]
    public function test_what_hangs_on_a_rail_is_summed_up_to_the_source(string $board, array $modules, array $sums): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board)->supply('feed', 'n', 'plug-5v-3a', 'Feed', null, FeedsAt::Usb);
        foreach ($modules as $index => [$class, $from]) {
            $sketch->module("m{$index}", 'n', $class, "M{$index}", match ($from) {
                '3' => FedFrom::Board3V3,
                '5' => FedFrom::Board5V,
                'a' => FedFrom::Adapter,
                default => null,
            });
            if (strlen($from) > 1) {
                $sketch->wire("m{$index}", array_key_first(self::knowledge()->catalogue->modules[$class]->terminals) ?? '', $from);
            }
        }
        $plan = $sketch->plan();
        foreach ($sums as $name => [$typical, $peak]) {
            $load = self::tree($plan)->load(self::named($plan, $name));
            self::assertEqualsWithDelta([$typical, $peak], [$load->typicalMa, $load->peakMa], 1e-9, $name);
        }
    }

    /** A supply of which nobody said what it is good for is bought by what is asked of it: 12 W at 12 V are 1 A, and a motor of so much starts with ten. */
    public function test_who_buys_a_supply_is_told_what_a_motor_takes_while_it_starts(): void
    {
        foreach ([[LoadKind::Resistive, 'at least 1000 mA'], [LoadKind::Motor, 'at least 10000 mA']] as [$kind, $rating]) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', 'other', 'Feed', more: ['volts' => 12.0])->load('l', 'Load', null, null, $kind, 12.0, ['supplyId' => self::sketch()->id('s'), 'use' => 'always-on']);
            $lines = array_column(PartsList::of($sketch->plan(), Shipped::knowledge())->lines, 'rating', 'what');
            self::assertStringContainsString($rating, $lines['another supply']);
        }
    }

    public function test_what_a_buck_draws_is_the_power_it_gives_and_what_it_keeps(): void
    {
        // 5 V · 640 mA / 12 V / 0.88 + 1 mA = 304 mA.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', 'plug-12v-2a', 'Plug')->supply('b', 'n', 'buck', 'Buck', 'p')->module('r', 'n', 'relay-bank-8-low', 'Relays', 'b')->plan();
        self::assertEqualsWithDelta(5 * 640 / 12 / 0.88 + 1, self::tree($plan)->load(self::named($plan, 'Plug'))->peakMa, 1e-9);
    }

    public function test_a_battery_lasts_as_long_as_its_charge_over_the_mean_current(): void
    {
        // Awake: 30 + 1.5 mA. Three alkaline cells of 2200 mAh, nine tenths of it: 62.9 h, less self-discharge.
        $of = static fn (bool $sleeps): Plan => ($sleeps ? self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->sleeping('n') : self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io'))
            ->supply('c', 'n', 'alkaline-3', 'Cells', null, FeedsAt::FiveVolt)->plan();
        $life = static fn (Plan $plan): ?BatteryLife => BatteryHours::of($plan, self::knowledge()->catalogue, self::tree($plan), self::named($plan, 'Cells'));
        self::assertEqualsWithDelta(2200 * 0.9 / 30 / 24, (float) $life($of(false))?->daysHigh(), 0.01);
        self::assertEqualsWithDelta(0.7 * (float) $life($of(false))?->daysHigh(), (float) $life($of(false))->daysLow(), 1e-9);
        // Asleep 1.5 mA, half a second awake in sixty: 1.7375 mA.
        self::assertEqualsWithDelta(1.7375, (float) $life($of(true))?->averageMa(), 1e-9);
    }

    public function test_levels_say_what_the_pins_carry_together_and_what_the_chip_stands(): void
    {
        // Two lamps of 1.4 mA on a chip of 50; on a Wi-Fi board, of whose chip nobody says how much it stands; on none at all.
        foreach ([['32bit-3v3-26io', 'GP16', 'GP17', [2.8, 50.0]], ['wifi-3v3-11io', 'IO4', 'IO5', [2.8, null]]] as [$board, $first, $second, $expected]) {
            $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board)->module('a', 'n', 'indicator-lamp', 'A')->module('b', 'n', 'indicator-lamp', 'B')->wire('a', 'LED', $first)->wire('b', 'LED', $second)->plan();
            $shown = Shipped::views()->show('node-levels', [$plan->nodes()[0]->id], $plan)[0]['shows'];
            self::assertInstanceOf(NodeLevels::class, $shown);
            self::assertSame([...$expected, true], [$shown->carriedMa, $shown->chipMostMa, $shown->chipSound]);
            self::assertSame([['1.4 mA', 'it lives on the pin', true], ['1.4 mA', 'it lives on the pin', true]], array_map(static fn (LevelRow $row): array => [$row->takes, $row->arrives, $row->sound], $shown->wires));
        }
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->plan();
        $shown = Shipped::views()->show('node-levels', [$plan->nodes()[0]->id], $plan)[0]['shows'];
        self::assertInstanceOf(NodeLevels::class, $shown);
        self::assertSame(0.0, $shown->carriedMa);
        $sketch = self::sketch()->describe(ThingKind::OwnBoard, 'own', 'Own', '32bit-3v3-26io', ['pinCurrent' => ['advisedMa' => 4, 'absoluteMa' => 12, 'chipTotalMa' => 1]]);
        $plan = $sketch->node('n', 'N', NodeKind::Controller, null, $sketch->classOf('own'))->module('a', 'n', 'indicator-lamp', 'A')->wire('a', 'LED', 'GP16')->plan();
        $shown = Shipped::views()->show('node-levels', [$plan->nodes()[0]->id], $plan)[0]['shows'];
        self::assertInstanceOf(NodeLevels::class, $shown);
        self::assertFalse($shown->chipSound);
        // A buzzer takes what a pin should not give, until a transistor gives it.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('b', 'n', 'buzzer', 'Buzzer')->wire('b', 'SIG', 'GP16');
        $straight = $sketch->plan();
        $driven = $sketch->part('b', 'SIG', PartKind::Driver, ['ohms' => 1_000])->plan();
        foreach ([[$straight, ['more than a pin should give', false, 'straight']], [$driven, ['a transistor gives it', true, 'NPN transistor 1 kΩ']]] as [$plan, $expected]) {
            $shown = Shipped::views()->show('node-levels', [$plan->nodes()[0]->id], $plan)[0]['shows'];
            self::assertInstanceOf(NodeLevels::class, $shown);
            self::assertSame($expected, [$shown->wires[0]->arrives, $shown->wires[0]->sound, $shown->wires[0]->between]);
        }
    }

    public function test_wires_stand_module_after_module_and_in_the_order_of_their_terminals(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('b', 'n', 'relay-bank-8-low', 'B')->module('a', 'n', 'button-pad-2', 'A');
        foreach (['b' => ['IN3' => 'D3', 'IN1' => 'D4', 'IN2' => 'D5'], 'a' => ['K2' => 'D6', 'K1' => 'D7']] as $module => $wires) {
            foreach ($wires as $terminal => $pin) {
                $sketch->wire($module, $terminal, $pin);
            }
        }
        $shown = Shipped::views()->show('node-levels', [$sketch->id('n')], $sketch->plan())[0]['shows'];
        self::assertInstanceOf(NodeLevels::class, $shown);
        self::assertSame(['IN1', 'IN2', 'IN3', 'K1', 'K2'], array_column($shown->wires, 'terminal'));
    }

    public function test_a_parts_list_has_every_resistor_and_counts_like_with_like(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')
            ->supply('b', 'n', 'lead-12v', 'Battery', more: ['fuseA' => 2.0])->supply('k', 'n', 'buck', 'Buck', 'b', null, ['volts' => 4.0])
            ->module('m', 'n', 'modem-2g', 'Modem', 'k')
            ->part('m', 'RXD', PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 1200])->part('m', 'VBAT', PartKind::Capacitor, ['microfarads' => 2200])
            ->module('e', 'n', 'infrared-emitter', 'Eye', FedFrom::Board5V)->link('l', 'Light', 'infrared')->join('l', 'n', Role::Sends, 'e')
            ->node('bought', 'Heater', NodeKind::Fixture, null, null);
        $plan = $sketch->plan();
        $lines = [];
        foreach (PartsList::of($plan, Shipped::knowledge())->lines as $line) {
            $lines[$line->what] = [$line->quantity, $line->rating];
        }
        // (5 − 1.35 − 0.2) V / 100 mA = 34.5 → 36 Ω, 0.33 W → 1 W. The divider's 1 kΩ and the one at the transistor's base are two.
        self::assertEquals([
            '8-bit 5 V board, 70 I/O' => [1, ''],
            '2G modem module' => [1, ''],
            'infrared emitter on a transistor' => [1, ''],
            'lead battery, 12 V' => [1, ''],
            'fuse 2 A, with its holder' => [1, ''],
            'buck regulator module, adjustable' => [1, 'set to 4 V'],
            'resistor 1 kΩ' => [2, '0.25 W'],
            'resistor 1.2 kΩ' => [1, '0.25 W'],
            'capacitor 2200 µF' => [1, '6.3 V'],
            'resistor 36 Ω' => [1, '1 W'],
        ], $lines);
    }

    public function test_what_is_in_the_drawer_need_not_be_bought(): void
    {
        $line = PartLine::one('resistor 1 kΩ', '0.25 W', 'A', true)->and(PartLine::one('resistor 1 kΩ', '0.25 W', 'B'))->and(PartLine::one('resistor 1 kΩ', '0.25 W', 'B'));
        self::assertSame([3, 1, 2, ['A', 'B']], [$line->quantity, $line->owned, $line->toBuy(), $line->where]);
    }

    public function test_the_demo_s_supplies_are_sound_from_source_to_part(): void
    {
        $plan = self::linden();
        foreach ($plan->of(Supply::class) as $supply) {
            self::assertTrue((new Verdicts(self::tree($plan)))->isSound($supply), $supply->name);
            self::assertNotNull(self::tree($plan)->volts($supply), $supply->name);
        }
    }
}
