<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\SupplyTree;
use Tests\Core\CoreTestCase;

/**
 * What a burst sees of resistance, and what loads draw. By hand: a plug of 1 A has 0.1 Ω, of 3 A 0.05, a buck 0.05, a boost regulator 0.1, four alkaline cells 0.6; copper 0.01724 Ω mm²/m
 * there and back (IEC 60028); whatever regulates holds its voltage itself, up to its limit, and what lies behind it is not felt.
 */
final class SourceOhmTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, float}> supplies, of which that called s is looked at; ohms */
    public static function sources(): iterable
    {
        $plug = static fn (Sketch $s, array $more = [], string $class = 'plug-5v-1a', ?FeedsAt $at = null): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', $class, 'Plug', null, $at, $more);
        $loop = 2 * 0.01724 * 2.0 / 0.5;
        yield 'four cells' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'alkaline-4', 'Cells'), 0.6];
        yield 'as somebody measured them' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'alkaline-4', 'Cells', more: ['sourceOhm' => 1.7]), 1.7];
        yield 'and two metres of 0.5 mm²' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'alkaline-4', 'Cells', more: ['sourceOhm' => 1.7, 'cableM' => 2.0, 'cableMm2' => 0.5]), 1.7 + $loop];
        yield 'cable of which only one figure is known' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'alkaline-4', 'Cells', more: ['cableM' => 2.0]), 0.6];
        yield 'next to none is a hundredth' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'bench', 'Bench', more: ['sourceOhm' => 0.001]), 0.01];
        yield 'a line adds what is behind it' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'line', 'Line', 'p', more: ['cableM' => 2.0, 'cableMm2' => 0.5]), 0.1 + $loop];
        yield 'and so does a line behind that' => [static fn (Sketch $s): Sketch => $plug($s, ['cableM' => 2.0, 'cableMm2' => 0.5])->supply('t', 'n', 'line', 'Nearer', 'p', more: ['cableM' => 2.0, 'cableMm2' => 0.5])->supply('s', 'n', 'line', 'Line', 't'), 0.1 + 2 * $loop];
        yield 'a line on nothing' => [static fn (Sketch $s): Sketch => $plug($s)->supply('s', 'n', 'line', 'Line', more: ['cableM' => 2.0, 'cableMm2' => 0.5]), $loop];
        yield 'a buck holds by itself' => [static fn (Sketch $s): Sketch => $plug($s, ['sourceOhm' => 3.0])->supply('s', 'n', 'buck', 'Buck', 'p'), 0.05];
        yield 'a line behind a buck' => [static fn (Sketch $s): Sketch => $plug($s, ['sourceOhm' => 3.0])->supply('b', 'n', 'buck', 'Buck', 'p')->supply('s', 'n', 'line', 'Line', 'b', more: ['cableM' => 2.0, 'cableMm2' => 0.5]), 0.05 + $loop];
        // The 5 V pin of a board fed at USB is a wire to what feeds it; behind its regulator the 3.3 V pin holds by itself.
        $pin = static fn (string $class): Closure => static fn (Sketch $s): Sketch => $plug($s, ['sourceOhm' => 3.0], at: FeedsAt::Usb)->supply('s', 'n', $class, 'Pin');
        $own = static fn (string $class): float => self::knowledge()->catalogue->supplies[$class]->sourceOhm;
        yield 'the 5 V pin' => [$pin('board-5v'), 3.0 + $own('board-5v')];
        yield 'the 3.3 V pin' => [$pin('board-3v3'), max(0.01, $own('board-3v3'))];
        yield 'two lines that live on each other' => [static fn (Sketch $s): Sketch => $plug($s)->supply('t', 'n', 'line', 'Other', more: ['sourceOhm' => 0.3])->supply('s', 'n', 'line', 'Line', 't', more: ['sourceOhm' => 0.2])->refeed('t', 's'), 0.5];
    }

    /** @param  Closure(Sketch): Sketch  $supplies */
    #[DataProvider('sources')]
    public function test_a_burst_sees_the_way_up_to_what_holds(Closure $supplies, float $ohm): void
    {
        $sketch = $supplies(self::sketch());
        $plan = $sketch->plan();
        $tree = new SupplyTree($plan, self::knowledge()->of($plan)->catalogue);
        self::assertEqualsWithDelta($ohm, $tree->sourceOhm($plan->supply($sketch->id('s'))), 1e-9);
    }

    /** @return iterable<string, array{LoadUse, array<string, mixed>, array{float, float, float}, string, array<string, mixed>}> its use and more of it; typical, held, peak mA; what it hangs on */
    public static function loads(): iterable
    {
        yield 'switched: nothing as a rule' => [LoadUse::Switched, [], [0.0, 2_000.0, 2_000.0], 'bench', []];
        yield 'always on' => [LoadUse::AlwaysOn, [], [2_000.0, 2_000.0, 2_000.0], 'bench', []];
        yield 'three of them' => [LoadUse::AlwaysOn, ['count' => 3], [6_000.0, 6_000.0, 6_000.0], 'bench', []];
        yield 'spare' => [LoadUse::Spare, [], [0.0, 0.0, 0.0], 'bench', []];
        yield 'unplugged this season' => [LoadUse::Unplugged, [], [0.0, 0.0, 0.0], 'bench', []];
        yield 'nobody read its plate' => [LoadUse::AlwaysOn, ['watts' => null], [0.0, 0.0, 0.0], 'bench', []];
        yield 'at twelve volts' => [LoadUse::AlwaysOn, [], [10_000 / 12, 10_000 / 12, 10_000 / 12], 'bench', ['volts' => 12.0]];
        yield 'at the end of a cable it is made for what is fed in' => [LoadUse::AlwaysOn, [], [2_000.0, 2_000.0, 2_000.0], 'bench', ['cableM' => 2.0, 'cableMm2' => 0.5]];
        yield 'on what nobody knows the volts of' => [LoadUse::AlwaysOn, [], [0.0, 0.0, 0.0], 'other', []];
        yield 'on a line that hangs on nothing' => [LoadUse::AlwaysOn, [], [0.0, 0.0, 0.0], 'line', []];
    }

    /**
     * @param  array<string, mixed>  $of
     * @param  array{float, float, float}  $draws
     * @param  array<string, mixed>  $fed
     */
    #[DataProvider('loads')]
    public function test_what_a_load_of_ten_watts_draws(LoadUse $use, array $of, array $draws, string $class, array $fed): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', $class, 'Feed', more: $fed)
            ->load('l', 'Load', null, null, LoadKind::Resistive, 10.0, ['supplyId' => self::sketch()->id('s'), 'use' => $use->value, ...$of]);
        $plan = $sketch->plan();
        $load = (new SupplyTree($plan, self::knowledge()->of($plan)->catalogue))->load($plan->supply($sketch->id('s')));
        self::assertEqualsWithDelta($draws, [$load->typicalMa, $load->heldMa, $load->peakMa], 1e-9);
    }

    /** What a regulator draws of what it lives on: 5 V · 2 A of 12 V at 88 per cent and 1 mA; where nobody knows the volts, what it gives and 1 mA. */
    public function test_what_a_regulator_draws_for_what_it_gives(): void
    {
        foreach ([['bench', ['volts' => 12.0], 10_000 / 12 / 0.88 + 1], ['other', [], 2_001.0], [null, [], 2_001.0]] as [$class, $more, $drawn]) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io');
            $sketch = $class === null ? $sketch : $sketch->supply('p', 'n', $class, 'Parent', more: $more);
            $plan = $sketch->supply('s', 'n', 'buck', 'Buck', $class === null ? null : 'p')->plan();
            $tree = new SupplyTree($plan, self::knowledge()->of($plan)->catalogue);
            self::assertEqualsWithDelta($drawn, $tree->drawnFor($plan->supply($sketch->id('s')), 2_000.0), 1e-9, (string) $class);
        }
        // Nothing drawn, it keeps itself awake.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', 'linear-5v', 'Linear')->plan();
        self::assertSame(6.0, (new SupplyTree($plan, self::knowledge()->of($plan)->catalogue))->drawnFor($plan->of(Supply::class)[0], 0.0));
    }

    /** A board at the end of a cable, an adapter on its 5 V pin and a radio on that, and a load whose supply is a line: whatever is asked for first, the sums are the same. */
    public function test_a_sum_is_the_same_whatever_was_asked_for_before(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', 'plug-5v-1a', 'Plug', null, FeedsAt::FiveVolt, ['cableM' => 2.0, 'cableMm2' => 0.5])
            ->supply('pin', 'n', 'board-5v', '5V pin')->supply('a', 'n', 'regulator-adapter', 'Adapter', 'pin')->module('m', 'n', 'packet-radio-amplified', 'Radio', 'a')
            ->supply('y', 'n', 'line', 'Line', 'pin', more: ['cableM' => 2.0, 'cableMm2' => 0.5])->load('l', 'Lamp', null, null, LoadKind::Resistive, 1.0, ['supplyId' => self::sketch()->id('y'), 'use' => LoadUse::AlwaysOn->value]);
        $plan = $sketch->plan();
        // 125 mA and 5 for the adapter; 200 for the lamp; 50 for the board.
        $sums = ['s' => 380.0, 'pin' => 330.0, 'a' => 125.0, 'y' => 200.0];
        foreach (array_keys($sums) as $first) {
            foreach ([true, false] as $byVolts) {
                $tree = new SupplyTree($plan, self::knowledge()->of($plan)->catalogue);
                $byVolts ? $tree->volts($plan->supply($sketch->id($first))) : $tree->load($plan->supply($sketch->id($first)));
                foreach ($sums as $key => $sumMa) {
                    self::assertEqualsWithDelta($sumMa, $tree->load($plan->supply($sketch->id($key)))->peakMa, 1e-9, "{$key} after {$first}");
                }
            }
        }
    }

    /** Those that take most come first, four by name. */
    public function test_of_a_chip_that_gives_too_much_those_are_named_that_take_most(): void
    {
        $sketch = self::sketch()->describe(ThingKind::OwnBoard, 'own', 'Own', '8bit-5v-70io', ['pinCurrent' => ['advisedMa' => 20, 'absoluteMa' => 40, 'chipTotalMa' => 8]]);
        $sketch->node('n', 'Desk', NodeKind::Controller, null, $sketch->classOf('own'))->supply('p', 'n', 'plug-5v-3a', 'Plug');
        foreach (['Lamp' => ['indicator-lamp', 'LED', 'D22'], 'Other' => ['indicator-lamp', 'LED', 'D23'], 'Third' => ['indicator-lamp', 'LED', 'D24'], 'Horn' => ['buzzer', 'SIG', 'D25'], 'Bell' => ['indicator-lamp', 'LED', 'D26']] as $name => [$class, $terminal, $pin]) {
            $sketch->module($name, 'n', $class, $name)->wire($name, $terminal, $pin);
        }
        [$finding] = self::checker()->check($sketch->plan())->byRule()['chip-overdrawn'];
        self::assertSame('The pins of Desk carry 42.4 mA when everything is on, and its chip stands 8', $finding->title);
        self::assertStringStartsWith('Horn 30 mA, Lamp 3.1 mA, Other 3.1 mA, Third 3.1 mA, 1 more. ', $finding->detail);
        self::assertSame(['carried_ma' => 42.4, 'most_ma' => 8.0], $finding->numbers);
        $two = self::sketch()->describe(ThingKind::OwnBoard, 'own', 'Own', '8bit-5v-70io', ['pinCurrent' => ['advisedMa' => 20, 'absoluteMa' => 40, 'chipTotalMa' => 8]]);
        [$finding] = self::checker()->check($two->node('n', 'Desk', NodeKind::Controller, null, $two->classOf('own'))->module('b', 'n', 'buzzer', 'Horn')->wire('b', 'SIG', 'D25')->plan())->byRule()['chip-overdrawn'];
        self::assertStringStartsWith('Horn 30 mA. Whatever', $finding->detail);
    }

    public function test_an_expander_bears_less_than_a_board_and_has_a_chip_of_its_own(): void
    {
        // A register of the 74 kind: 6 mA a pin, 70 in all; 35 at the very most. Data sheets, from memory.
        $panel = static fn (int $lamps, int $diodeOhm): Sketch => array_reduce(range(0, $lamps - 1), static fn (Sketch $s, int $at): Sketch => $s->wire('l', "L{$at}", "X{$at}")->output("o{$at}", 'n', "Lamp {$at}", OutputKind::Lamp, 'l', "L{$at}"), ($s = self::sketch())
            ->describe(ThingKind::OwnModule, 'panel', 'Panel', 'indicator-lamp', ['terminals' => array_map(static fn (int $at): array => ['name' => "L{$at}", 'needs' => 'digital-out', 'carries' => 'output', 'pulls' => 'down', 'diodeV' => 1.8, 'diodeOhm' => $diodeOhm, 'doc' => 'High lights it.'], range(0, $lamps - 1))])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('x', 'n', 'shift-register-8', 'Register', FedFrom::Board5V)->module('l', 'n', $s->classOf('panel'), 'Panel'));
        // (4.9 - 1.8) V / 520 Ω = 5.96 mA; / 390 Ω = 7.95.
        self::assertSame([], self::found($panel(1, 520)->plan(), 'pin-overdrawn'));
        self::assertSame(['Panel takes 7.95 mA from X0 of N, which gives 6'], array_map(static fn (Finding $finding): string => $finding->title, self::found($panel(1, 390)->plan(), 'pin-overdrawn')));
        // Eight of 8.86 mA are 70.9; the board's own 200 are far.
        self::assertSame([], self::found($panel(7, 350)->plan(), 'chip-overdrawn'));
        $found = self::found($panel(8, 350)->plan(), 'chip-overdrawn');
        self::assertSame(['The pins of Register on N carry 70.9 mA when everything is on, and its chip stands 70'], array_map(static fn (Finding $finding): string => $finding->title, $found));
    }
}
