<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

/**
 * The figures that rules about loads give, and what they offer, at the limits and a hair beyond. By hand: watts by 230 V; a fuse of 1.25 times the load, of the
 * preferred ratings of IEC 60127 (R10: 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3 A); cords of 0.5, 0.75, 1 and 1.5 mm² bear 3, 6, 10 and 16 A, thinner wire 4 A to
 * the square millimetre (the firm's trade book §11, common practice).
 */
final class LoadFiguresTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>}> rule, plan, of each finding its figures and its fix */
    public static function cases(): iterable
    {
        $load = static fn (float $watts, array $values = [], array $circuit = ['fuseA' => 10.0], LoadKind $kind = LoadKind::Resistive): Closure => static fn (Sketch $s): Sketch => $s
            ->circuit('c', 'C', $circuit)->load('l', 'Thing', null, 'c', $kind, $watts, ['use' => 'always-on', ...$values]);

        yield 'a cord of 0.75 mm² behind 10 A' => ['cord-burns', $load(100.0, ['mm2' => 0.75]), [[['cord_a' => 6.0, 'load_a' => 0.435, 'fuse_a' => 10.0], 'A fuse of 0.63 A before it']]];
        yield 'behind 6 A, with 6 A' => ['cord-burns', $load(1_380.0, ['mm2' => 0.75], ['fuseA' => 6.0]), []];
        yield 'with 6.01 A no fuse saves it' => ['cord-burns', $load(1_382.3, ['mm2' => 0.75], ['fuseA' => 6.0]), [[['cord_a' => 6.0, 'load_a' => 6.01, 'fuse_a' => 6.0], null]]];
        yield 'a load of 8 A wants just the 10 A that its cord bears' => ['cord-burns', $load(1_840.0, ['mm2' => 1.0], ['fuseA' => 13.0]), [[['cord_a' => 10.0, 'load_a' => 8.0, 'fuse_a' => 13.0], 'A fuse of 10 A before it']]];
        yield 'a load of 8.1 A wants more' => ['cord-burns', $load(1_863.0, ['mm2' => 1.0], ['fuseA' => 13.0]), [[['cord_a' => 10.0, 'load_a' => 8.1, 'fuse_a' => 13.0], null]]];
        yield 'hook-up wire of 0.25 mm² behind 1 A' => ['cord-burns', $load(100.0, ['mm2' => 0.25], ['fuseA' => 1.0]), []];
        yield 'a quarter more' => ['cord-burns', $load(100.0, ['mm2' => 0.25], ['fuseA' => 1.25]), [[['cord_a' => 1.0, 'load_a' => 0.435, 'fuse_a' => 1.25], 'A fuse of 0.63 A before it']]];
        yield 'no fuse at all, and little drawn' => ['cord-burns', $load(100.0, ['mm2' => 0.5], []), []];
        yield 'no fuse at all, and too much' => ['cord-burns', $load(700.0, ['mm2' => 0.5], []), [[['cord_a' => 3.0, 'load_a' => 3.043, 'fuse_a' => null], null]]];
        yield 'a plate that nobody read' => ['cord-burns', static fn (Sketch $s): Sketch => $s->circuit('c', 'C', ['fuseA' => 10.0])->load('l', 'Thing', null, 'c', LoadKind::Resistive, null, ['use' => 'always-on', 'mm2' => 0.5]), [[['cord_a' => 3.0, 'load_a' => 0.0, 'fuse_a' => 10.0], null]]];
        yield 'unplugged' => ['cord-burns', $load(100.0, ['mm2' => 0.5, 'use' => 'unplugged']), []];
        yield 'the second of three' => ['cord-burns', static fn (Sketch $s): Sketch => $load(100.0)($s)->load('k', 'Other', null, 'c', LoadKind::Resistive, 100.0, ['use' => 'always-on', 'mm2' => 1.5])->load('j', 'Third', null, 'c', LoadKind::Resistive, 46.0, ['use' => 'always-on', 'mm2' => 0.5]), [[['cord_a' => 3.0, 'load_a' => 0.2, 'fuse_a' => 10.0], 'A fuse of 0.25 A before it']]];

        yield 'a fuse of 1 A with 0.8 A' => ['fuse-below-load', $load(184.0, ['fuseA' => 1.0]), []];
        yield 'with 0.81 A' => ['fuse-below-load', $load(186.3, ['fuseA' => 1.0]), [[['load_a' => 0.81, 'fuse_a' => 1.0], 'A fuse of 1.25 A']]];
        yield 'on wire that bears just the next' => ['fuse-below-load', $load(186.3, ['fuseA' => 1.0, 'mm2' => 0.3125]), [[['load_a' => 0.81, 'fuse_a' => 1.0], 'A fuse of 1.25 A']]];
        yield 'on wire that does not' => ['fuse-below-load', $load(186.3, ['fuseA' => 1.0, 'mm2' => 0.31]), [[['load_a' => 0.81, 'fuse_a' => 1.0], null]]];
        yield 'unplugged, whatever its fuse' => ['fuse-below-load', $load(2_000.0, ['fuseA' => 1.0, 'use' => 'unplugged']), []];
        yield 'without a fuse of its own' => ['fuse-below-load', $load(2_000.0), []];
        yield 'more than any fuse of a home' => ['fuse-below-load', $load(4_000.0, ['fuseA' => 10.0]), [[['load_a' => 17.391, 'fuse_a' => 10.0], null]]];
        yield 'the second of two' => ['fuse-below-load', static fn (Sketch $s): Sketch => $load(100.0)($s)->load('k', 'Other', null, 'c', LoadKind::Resistive, 460.0, ['use' => 'always-on', 'fuseA' => 2.0]), [[['load_a' => 2.0, 'fuse_a' => 2.0], 'A fuse of 2.5 A']]];
        $triac = static fn (float $watts, string $at): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', 'solid-state-bank-2', 'Bank', 'plug')
            ->output('o', 'n', 'Out', OutputKind::Relay, 'm', 'CH1')->circuit('ac', 'Mains', ['fuseA' => 10.0])->load('l', 'Thing', 'o', 'ac', LoadKind::Resistive, $watts, ['fuseA' => 0.5, 'fuseAt' => $at]);
        yield 'before a triac that outlives 2 A' => ['fuse-below-load', $triac(368.0, 'before'), [[['load_a' => 1.6, 'fuse_a' => 0.5], 'A fuse of 2 A']]];
        yield 'before it, where it would take 2.5 A' => ['fuse-below-load', $triac(380.0, 'before'), [[['load_a' => 1.652, 'fuse_a' => 0.5], null]]];
        yield 'behind it, where it saves nothing anyway' => ['fuse-below-load', $triac(380.0, 'after'), [[['load_a' => 1.652, 'fuse_a' => 0.5], 'A fuse of 2.5 A']]];

        yield 'a circuit without a fuse' => ['circuit-unfused', $load(100.0, [], []), [[['load_a' => 0.435, 'fuse_a' => 0.63], 'Say that a fuse of 0.63 A is before it']]];
        yield 'on wire that bears just that' => ['circuit-unfused', $load(115.0, [], ['mm2' => 0.1575]), [[['load_a' => 0.5, 'fuse_a' => 0.63], 'Say that a fuse of 0.63 A is before it']]];
        yield 'on wire that does not bear it' => ['circuit-unfused', $load(115.0, [], ['mm2' => 0.157]), [[['load_a' => 0.5, 'fuse_a' => 0.63], null]]];
        yield 'and nothing that takes any' => ['circuit-unfused', $load(100.0, ['use' => 'unplugged'], []), []];
        yield 'more than a home has' => ['circuit-unfused', $load(4_600.0, [], []), [[['load_a' => 20.0, 'fuse_a' => null], null]]];
        yield 'the second of two circuits' => ['circuit-unfused', static fn (Sketch $s): Sketch => $load(100.0)($s)->circuit('d', 'D')->load('k', 'Other', null, 'd', LoadKind::Resistive, 46.0, ['use' => 'always-on']), [[['load_a' => 0.2, 'fuse_a' => 0.25], 'Say that a fuse of 0.25 A is before it']]];

        // An 8-bit board's memory bears 10⁵ writes, a larger one's program memory 10⁴: two years are 730 days.
        $timer = static fn (int $min, string $board, string $start = 'last'): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', 'relay-bank-2-high', 'Bank')
            ->output('o', 'n', 'Out', OutputKind::Relay, 'm', 'IN1', more: ['atStart' => $start])->control('t', 'n', 'Timer', ControlKind::Timer, settings: ['everyMin' => $min])->route('t', Action::Toggle, 'o');
        yield 'kept every ten minutes' => ['restore-wears', $timer(10, '8bit-5v-20io'), [[['writes_per_day' => 144.0, 'days' => 694.4], 'Off at start']]];
        yield 'kept every eleven' => ['restore-wears', $timer(11, '8bit-5v-20io'), []];
        yield 'kept every hundred minutes in program memory' => ['restore-wears', $timer(100, 'wifi-3v3-11io'), [[['writes_per_day' => 14.4, 'days' => 694.4], 'Off at start']]];
        yield 'kept every hundred and ten' => ['restore-wears', $timer(110, 'wifi-3v3-11io'), []];
        $pulses = static fn (int $min): Closure => static fn (Sketch $s): Sketch => $timer(10_080, '8bit-5v-20io')($s)->control('p', 'n', 'Other', ControlKind::Timer, settings: ['everyMin' => $min])->route('p', Action::Pulse, 'o', 1_000);
        yield 'a pulse is on and off again' => ['restore-wears', $pulses(20), [[['writes_per_day' => 144.14, 'days' => 693.8], 'Off at start']]];
        $daily = static fn (Action $action): Closure => static fn (Sketch $s): Sketch => $timer(10, '8bit-5v-20io')($s)->control('d', 'n', 'Daily', ControlKind::Timer, settings: ['at' => '06:30'])->route('d', $action, 'o', $action === Action::Pulse ? 1_000 : null);
        yield 'once a day besides' => ['restore-wears', $daily(Action::On), [[['writes_per_day' => 145.0, 'days' => 689.7], 'Off at start']]];
        yield 'a pulse a day besides' => ['restore-wears', $daily(Action::Pulse), [[['writes_per_day' => 146.0, 'days' => 684.9], 'Off at start']]];
        yield 'a timer that never comes, besides' => ['restore-wears', static fn (Sketch $s): Sketch => $timer(10, '8bit-5v-20io')($s)->control('d', 'n', 'Never', ControlKind::Timer)->route('d', Action::On, 'o'), [[['writes_per_day' => 144.0, 'days' => 694.4], 'Off at start']]];
        yield 'what people press nobody counts' => ['restore-wears', static fn (Sketch $s): Sketch => $timer(10, '8bit-5v-20io')($s)->module('keys', 'n', 'button-pad-2', 'Keys')->control('k', 'n', 'Key')->route('k', Action::Pulse, 'o', 1_000), [[['writes_per_day' => 144.0, 'days' => 694.4], 'Off at start']]];
        yield 'not kept at all' => ['restore-wears', $timer(1, '8bit-5v-20io', 'off'), []];
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<array{array<string, float|int|null>, string|null}>  $expected
     */
    #[DataProvider('cases')]
    public function test_the_figures_and_what_is_offered(string $rule, Closure $plan, array $expected): void
    {
        $plan = $plan(self::sketch())->plan();
        $found = self::found($plan, $rule);
        self::assertEquals($expected, array_map(static fn (Finding $finding): array => [$finding->numbers, $finding->fix?->label], $found));
        foreach ($found as $finding) {
            if ($finding->fix !== null) {
                $mended = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                self::assertSame([], self::found($mended, $rule), 'what is offered mends it');
                self::assertSame([], array_filter(self::checker()->check($mended)->all(), static fn (Finding $one): bool => in_array($one->rule(), ['fuse-misplaced', 'fuse-above-contact', 'fuse-in-neutral'], true) && self::found($plan, $one->rule()) === []), 'and breaks nothing else');
            }
        }
    }
}
