<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;
use Tests\Core\Power\SaysFigures;

/**
 * The figures that rules about loads give, and what they offer, at the limits and a hair beyond. By hand: watts by 230 V; a fuse of 1.25 times the load, of the
 * preferred ratings of IEC 60127 (R10: 0.5, 0.63, 0.8, 1, 1.25, 1.6, 2, 2.5, 3.15, 4, 5, 6.3 A); cords of 0.5, 0.75, 1 and 1.5 mm² bear 3, 6, 10 and 16 A, thinner wire 4 A to
 * the square millimetre (the firm's trade book §11, common practice).
 */
final class LoadFiguresTest extends CoreTestCase
{
    use SaysFigures;

    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>}> rule, plan, of each finding its figures and its fix */
    public static function cases(): iterable
    {
        $load = static fn (float $watts, array $values = [], array $circuit = ['fuseA' => 10.0], LoadKind $kind = LoadKind::Resistive): Closure => static fn (Sketch $s): Sketch => $s
            ->circuit('c', 'C', $circuit)->load('l', 'Thing', null, 'c', $kind, $watts, ['use' => 'always-on', ...$values]);

        $motor = static fn (float $volts, float $watts): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->supply('p', 'n', 'bench', 'Motors', more: ['volts' => $volts])
            ->module('m', 'n', 'motor-bridge-2', 'Bridge', 'plug')->output('o', 'n', 'Out', OutputKind::Motor, 'm', 'ENA')->load('l', 'Thing', 'o', null, LoadKind::Motor, $watts, ['supplyId' => $s->id('p')]);
        yield 'a third of what there is stays in the bridge' => ['switch-keeps-volts', $motor(5.0, 0.5), [[['left_v' => 3.2, 'keeps_v' => 1.8], null]]];
        yield 'all of it' => ['switch-keeps-volts', $motor(1.2, 0.5), [[['left_v' => 0.0, 'keeps_v' => 1.8], null]]];
        yield 'ten times 0.31 A, from three' => ['start-starves', $motor(10.0, 3.1), [[['start_ma' => 3_100.0, 'limit_ma' => 3_000.0], null]]];

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

        yield from self::onContacts();
        yield from self::onCircuits();

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
     * A relay of 10 A, on the mains 5, breaks 8 A of a resistive load, 4 of a coil, 2 of a motor, 1 of lamps and of LED; above 30 V of direct current less, from 48 V on a tenth.
     * A solid-state relay of 1 A survives 30 A for a period and a fuse of 2 A, holds from 50 mA on and lets 5 through. At switching on flow ten times a motor's, fifteen times a
     * lamp's and a coil's, forty times an LED's (trade book §11 and the boards' own figures, common practice).
     *
     * @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>}>
     */
    private static function onContacts(): iterable
    {
        $on = static fn (string $bank, array $circuit, array ...$loads): Closure => static function (Sketch $s) use ($bank, $circuit, $loads): Sketch {
            $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', $bank, 'Bank', 'plug')
                ->output('o', 'n', 'Out', OutputKind::Relay, 'm', str_starts_with($bank, 'solid') ? 'CH1' : 'IN1')->circuit('ac', 'Mains', $circuit);
            foreach ($loads as $number => [$kind, $watts, $more]) {
                $s->load("l{$number}", "Thing {$number}", 'o', 'ac', $kind, $watts, $more);
            }

            return $s;
        };
        $relay = static fn (array ...$loads): Closure => $on('relay-bank-2-high', [], ...$loads);
        $triac = static fn (array ...$loads): Closure => $on('solid-state-bank-2', [], ...$loads);

        foreach ([[LoadKind::Resistive, 5.0], [LoadKind::Inductive, 4.0], [LoadKind::Motor, 2.0], [LoadKind::Lamp, 1.0], [LoadKind::Capacitive, 1.0]] as [$kind, $amperes]) {
            yield "a relay with {$amperes} A of {$kind->value}" => ['contact-overloaded', $relay([$kind, 230 * $amperes, []]), []];
            yield "with a hundredth more of {$kind->value}" => ['contact-overloaded', $relay([$kind, 232.3 * $amperes, []]), [[['share' => 1.01], null]]];
        }
        yield 'a lamp and a heater, half of each' => ['contact-overloaded', $relay([LoadKind::Lamp, 115.0, []], [LoadKind::Resistive, 575.0, []]), []];
        yield 'and another tenth of a lamp' => ['contact-overloaded', $relay([LoadKind::Lamp, 115.0, []], [LoadKind::Resistive, 575.0, []], [LoadKind::Lamp, 23.0, []]), [[['share' => 1.1], null]]];
        yield 'two that take as much each' => ['contact-overloaded', $relay([LoadKind::Lamp, 138.0, ['count' => 2]]), [[['share' => 1.2], null]]];
        yield 'unplugged it takes nothing' => ['contact-overloaded', $relay([LoadKind::Lamp, 1_000.0, ['use' => 'unplugged']]), []];
        yield 'a plate that nobody has read takes nothing yet' => ['contact-overloaded', $relay([LoadKind::Lamp, null, []], [LoadKind::Lamp, 115.0, []]), []];
        yield 'a solid-state relay with its ampere' => ['contact-overloaded', $triac([LoadKind::Inductive, 230.0, []]), []];
        yield 'and a hundredth more' => ['contact-overloaded', $triac([LoadKind::Inductive, 232.3, []]), [[['share' => 1.01], null]]];

        yield 'a coil of 2 A lets 30 flow' => ['surge-kills', $triac([LoadKind::Inductive, 460.0, []]), []];
        yield 'one of 2.01 A more' => ['surge-kills', $triac([LoadKind::Inductive, 462.3, []]), [[['surge_a' => 30.15, 'most_a' => 30.0], null]]];
        yield 'LED and a coil together' => ['surge-kills', $triac([LoadKind::Capacitive, 115.0, []], [LoadKind::Inductive, 161.0, []]), [[['surge_a' => 30.5, 'most_a' => 30.0], null]]];
        yield 'a relay bears what it bears' => ['surge-kills', $relay([LoadKind::Capacitive, 1_150.0, []]), []];

        yield 'a lamp of 50 mA holds' => ['triac-holds-not', $triac([LoadKind::Lamp, 11.5, []]), []];
        yield 'one of 49 does not' => ['triac-holds-not', $triac([LoadKind::Lamp, 11.27, []]), [[['load_ma' => 49.0, 'hold_ma' => 50.0, 'leakage_ma' => 5.0], null]]];
        yield 'LED of 100 mA stay dark' => ['triac-holds-not', $triac([LoadKind::Capacitive, 23.0, []]), []];
        yield 'of 99 they glow' => ['triac-holds-not', $triac([LoadKind::Capacitive, 22.77, []]), [[['load_ma' => 99.0, 'hold_ma' => 50.0, 'leakage_ma' => 5.0], null]]];
        yield 'beside a lamp they do not' => ['triac-holds-not', $triac([LoadKind::Capacitive, 11.5, []], [LoadKind::Lamp, 11.5, []]), []];
        yield 'nothing on it' => ['triac-holds-not', $triac(), []];

        $lamp = [LoadKind::Lamp, 115.0, []];
        yield 'a relay on the mains behind 5 A' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 5.0], $lamp), []];
        yield 'behind 5.1' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 5.1], $lamp), [[['fuse_a' => 5.1, 'most_a' => 5.0, 'right_a' => 0.63], 'A fuse of 0.63 A before it']]];
        yield 'slow is no matter to a contact' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 5.0, 'timeLag' => true], $lamp), []];
        yield 'a fuse of its own saves it' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 16.0], [LoadKind::Lamp, 115.0, ['fuseA' => 5.0, 'fuseAt' => 'before']]), []];
        yield 'behind the contact it saves nothing' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 16.0], [LoadKind::Lamp, 115.0, ['fuseA' => 5.0, 'fuseAt' => 'after']]), [[['fuse_a' => 16.0, 'most_a' => 5.0, 'right_a' => 0.63], 'A fuse of 0.63 A before it']]];
        yield 'a load that wants just the 5 A' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 16.0], [LoadKind::Resistive, 920.0, []]), [[['fuse_a' => 16.0, 'most_a' => 5.0, 'right_a' => 5.0], 'A fuse of 5 A before it']]];
        yield 'one that wants more' => ['fuse-above-contact', $on('relay-bank-2-high', ['fuseA' => 16.0], [LoadKind::Resistive, 943.0, []]), [[['fuse_a' => 16.0, 'most_a' => 5.0, 'right_a' => null], null]]];
        yield 'a triac behind a quick 2 A' => ['fuse-above-contact', $on('solid-state-bank-2', ['fuseA' => 2.0], $lamp), []];
        yield 'behind a slow one' => ['fuse-above-contact', $on('solid-state-bank-2', ['fuseA' => 2.0, 'timeLag' => true], $lamp), [[['fuse_a' => 2.0, 'most_a' => 2.0, 'right_a' => 0.63], 'A fuse of 0.63 A before it']]];
        yield 'behind 2.5' => ['fuse-above-contact', $on('solid-state-bank-2', ['fuseA' => 2.5], $lamp), [[['fuse_a' => 2.5, 'most_a' => 2.0, 'right_a' => 0.63], 'A fuse of 0.63 A before it']]];
        yield 'a slow one, and its own before it' => ['fuse-above-contact', $on('solid-state-bank-2', ['fuseA' => 10.0, 'timeLag' => true], [LoadKind::Lamp, 115.0, ['fuseA' => 2.0, 'fuseAt' => 'before']]), []];

        $direct = static fn (float $volts, float $amperes, LoadKind $kind = LoadKind::Resistive): Closure => $on('relay-bank-2-high', ['direct' => true, 'volts' => $volts], [$kind, $volts * $amperes, []]);
        yield 'a relay that breaks 30 V of direct current' => ['contact-breaks-dc', $direct(30.0, 8.0), []];
        yield '39 V, of which it bears eleven twentieths' => ['contact-breaks-dc', $direct(39.0, 4.4), []];
        yield 'and a little more' => ['contact-breaks-dc', $direct(39.0, 4.41), [[['volts' => 39.0, 'dc_v' => 30.0], null]]];
        yield 'from 48 V on a tenth' => ['contact-breaks-dc', $direct(48.0, 0.8), []];
        yield 'no more than that' => ['contact-breaks-dc', $direct(48.0, 0.81), [[['volts' => 48.0, 'dc_v' => 30.0], null]]];
        yield 'next to nothing of 110 V' => ['contact-breaks-dc', $direct(110.0, 0.01), []];
        yield 'next to nothing of more' => ['contact-breaks-dc', $direct(111.0, 0.01), [[['volts' => 111.0, 'dc_v' => 30.0], null]]];
        yield 'the mains' => ['contact-above-volts', $on('relay-bank-2-high', ['volts' => 250.0], $lamp), []];
        yield 'two phases of it' => ['contact-above-volts', $on('relay-bank-2-high', ['volts' => 400.0], $lamp), [[['volts' => 400.0, 'most_v' => 250.0], null]]];
        yield 'two phases on a triac' => ['contact-above-volts', $on('solid-state-bank-2', ['volts' => 400.0], $lamp), [[['volts' => 400.0, 'most_v' => 250.0], null]]];
    }

    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>}> */
    private static function onCircuits(): iterable
    {
        $circuit = static fn (array $circuit, array ...$loads): Closure => static function (Sketch $s) use ($circuit, $loads): Sketch {
            $s->circuit('c', 'C', $circuit);
            foreach ($loads as $number => [$kind, $watts, $more]) {
                $s->load("l{$number}", "Thing {$number}", null, 'c', $kind, $watts, ['use' => 'always-on', ...$more]);
            }

            return $s;
        };
        $heats = static fn (float $watts): array => [LoadKind::Resistive, $watts, []];

        yield '8 A behind 10' => ['circuit-overloaded', $circuit(['fuseA' => 10.0], $heats(1_840.0)), []];
        yield '8.01 A behind 10' => ['circuit-overloaded', $circuit(['fuseA' => 10.0], $heats(1_842.3)), [[['load_a' => 8.01, 'fuse_a' => 10.0], null]]];
        yield 'on copper that bears 13' => ['circuit-overloaded', $circuit(['fuseA' => 10.0, 'mm2' => 1.5], $heats(1_842.3)), [[['load_a' => 8.01, 'fuse_a' => 10.0], 'A fuse of 13 A']]];
        yield 'on copper that does not' => ['circuit-overloaded', $circuit(['fuseA' => 10.0, 'mm2' => 1.0], $heats(1_842.3)), [[['load_a' => 8.01, 'fuse_a' => 10.0], null]]];
        yield 'no fuse is said' => ['circuit-overloaded', $circuit(['mm2' => 1.5], $heats(1_842.3)), []];
        yield 'all together count' => ['circuit-overloaded', $circuit(['fuseA' => 10.0], $heats(920.0), $heats(920.0), $heats(23.0)), [[['load_a' => 8.1, 'fuse_a' => 10.0], null]]];
        yield 'and what branches off' => ['circuit-overloaded', static fn (Sketch $s): Sketch => $circuit(['fuseA' => 10.0], $heats(920.0))($s)->circuit('d', 'D', ['fuseA' => 6.0], 'c')->load('k', 'Other', null, 'd', LoadKind::Resistive, 943.0, ['use' => 'always-on']), [[['load_a' => 8.1, 'fuse_a' => 10.0], null]]];

        // A lamp of 0.1 A on a contact, and a heater beside it: what the fuse saves decides how large it may get, or how slow.
        $behind = static fn (string $bank, array $circuit, array $loads, array $lamp = []): Closure => static function (Sketch $s) use ($bank, $circuit, $loads, $lamp): Sketch {
            $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', $bank, 'Bank', 'plug')
                ->output('o', 'n', 'Out', OutputKind::Relay, 'm', str_starts_with($bank, 'solid') ? 'CH1' : 'IN1')->circuit('ac', 'Mains', ['mm2' => 1.5, ...$circuit])->load('lamp', 'Lamp', 'o', 'ac', LoadKind::Lamp, 23.0, $lamp);
            foreach ($loads as $number => [$kind, $watts]) {
                $s->load("l{$number}", "Thing {$number}", null, 'ac', $kind, $watts, ['use' => 'always-on']);
            }

            return $s;
        };
        $more = static fn (float $amperes, array $lamp = []): Closure => $behind('relay-bank-2-high', ['fuseA' => 4.0], [[LoadKind::Resistive, 230 * ($amperes - 0.1)]], $lamp);
        yield '3.3 A want 5, which a contact outlives' => ['circuit-overloaded', $more(3.3), [[['load_a' => 3.3, 'fuse_a' => 4.0], 'A fuse of 5 A']]];
        yield '4.1 want 6.3, which it does not' => ['circuit-overloaded', $more(4.1), [[['load_a' => 4.1, 'fuse_a' => 4.0], null]]];
        yield 'unless it has its own' => ['circuit-overloaded', $more(4.1, ['fuseA' => 5.0, 'fuseAt' => 'before']), [[['load_a' => 4.1, 'fuse_a' => 4.0], 'A fuse of 6.3 A']]];
        yield 'small enough' => ['circuit-overloaded', $more(4.1, ['fuseA' => 5.1, 'fuseAt' => 'before']), [[['load_a' => 4.1, 'fuse_a' => 4.0], null]]];
        yield 'and before it' => ['circuit-overloaded', $more(4.1, ['fuseA' => 5.0, 'fuseAt' => 'after']), [[['load_a' => 4.1, 'fuse_a' => 4.0], null]]];
        $slow = static fn (string $bank, array $lamp = []): Closure => $behind($bank, ['fuseA' => 2.0], [[LoadKind::Motor, 149.5]], $lamp);
        yield 'a motor beside a relay' => ['fuse-too-quick', $slow('relay-bank-2-high'), [[['surge_a' => 6.5, 'fuse_a' => 2.0], 'A time-lag one']]];
        yield 'beside a solid-state one, which dies of that' => ['fuse-too-quick', $slow('solid-state-bank-2'), [[['surge_a' => 6.5, 'fuse_a' => 2.0], null]]];
        yield 'which its own fuse saves' => ['fuse-too-quick', $slow('solid-state-bank-2', ['fuseA' => 2.0, 'fuseAt' => 'before']), [[['surge_a' => 6.5, 'fuse_a' => 2.0], 'A time-lag one']]];

        // Low is 0.1 V on such a board; diode and indicator keep 3, a kilohm lets through what is left.
        $signal = static fn (float $volts): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)
            ->supply('side', 'n', 'bench', 'Side', null, null, ['volts' => $volts])->module('low', 'n', 'relay-bank-1-low', 'Low', 'plug', ['signalSupplyId' => $s->id('side')]);
        yield 'a signal side of 4.11 V' => ['signal-side-weak', $signal(4.11), []];
        yield 'of 4.09' => ['signal-side-weak', $signal(4.09), [[['signal_v' => 4.09, 'led_ma' => 0.99], null]]];
        yield 'of 3.3' => ['signal-side-weak', $signal(3.3), [[['signal_v' => 3.3, 'led_ma' => 0.2], null]]];

        yield '1.5 mm² behind 16 A' => ['circuit-cable-burns', $circuit(['fuseA' => 16.0, 'mm2' => 1.5], $heats(230.0)), []];
        yield 'behind 20' => ['circuit-cable-burns', $circuit(['fuseA' => 20.0, 'mm2' => 1.5], $heats(230.0)), [[['fuse_a' => 20.0, 'cable_a' => 16.0], 'A fuse of 1.25 A']]];
        yield 'with 12.8 A the 16 do' => ['circuit-cable-burns', $circuit(['fuseA' => 20.0, 'mm2' => 1.5], $heats(2_944.0)), [[['fuse_a' => 20.0, 'cable_a' => 16.0], 'A fuse of 16 A']]];
        yield 'with 12.9 none does' => ['circuit-cable-burns', $circuit(['fuseA' => 20.0, 'mm2' => 1.5], $heats(2_967.0)), [[['fuse_a' => 20.0, 'cable_a' => 16.0], null]]];
        yield 'no copper is named' => ['circuit-cable-burns', $circuit(['fuseA' => 20.0], $heats(230.0)), []];

        yield 'a branch of 6 A behind 10' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $circuit(['fuseA' => 10.0])($s)->circuit('d', 'D', ['fuseA' => 6.0], 'c'), []];
        yield 'of 10 behind 10' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $circuit(['fuseA' => 10.0])($s)->circuit('d', 'D', ['fuseA' => 10.0], 'c'), [[['fuse_a' => 10.0, 'before_a' => 10.0], null]]];
        yield 'of 13 behind a branch without, behind 10' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $circuit(['fuseA' => 10.0])($s)->circuit('d', 'D', parent: 'c')->circuit('e', 'E', ['fuseA' => 13.0], 'd'), [[['fuse_a' => 13.0, 'before_a' => 10.0], null]]];
        yield 'behind two, said once' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $circuit(['fuseA' => 10.0])($s)->circuit('d', 'D', ['fuseA' => 6.0], 'c')->circuit('e', 'E', ['fuseA' => 10.0], 'd'), [[['fuse_a' => 10.0, 'before_a' => 6.0], null]]];

        // A coil or motor starts at each moment of a period; LED and lamps start too fast for a fuse, but not for one of three times its rating.
        yield 'a motor of 1.8 A behind a quick 6' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], [LoadKind::Motor, 414.0, []]), []];
        yield 'of 1.9 A' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], [LoadKind::Motor, 437.0, []]), [[['surge_a' => 19.0, 'fuse_a' => 6.0], 'A time-lag one']]];
        yield 'behind a slow 6' => ['fuse-too-quick', $circuit(['fuseA' => 6.0, 'timeLag' => true], [LoadKind::Motor, 437.0, []]), []];
        yield 'two motors, each switched by itself' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], [LoadKind::Motor, 230.0, []], [LoadKind::Motor, 230.0, []]), []];
        yield 'a heater starts as it goes on' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], $heats(1_000.0)), []];

        // Whatever is looked at in turn, the second is as good as the first.
        $two = static fn (string $class, string $channel, array ...$loads): Closure => static fn (Sketch $s): Sketch => array_reduce(array_keys($loads), static fn (Sketch $s, int|string $at): Sketch => $s->load("l{$at}", "Thing {$at}", 'o', $loads[$at][0], $loads[$at][1], $loads[$at][2], $loads[$at][3] ?? []), $s
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', $class, 'Bank', str_starts_with($class, 'transistor') ? null : 'plug')
            ->output('o', 'n', 'Out', str_starts_with($class, 'transistor') ? OutputKind::Pwm : OutputKind::Relay, 'm', $channel)->circuit('ac', 'Mains', ['fuseA' => 16.0])->circuit('low', 'Low', ['volts' => 30.0, 'direct' => true])->circuit('high', 'High', ['volts' => 48.0, 'direct' => true]));
        $arc = [['volts' => 48.0, 'dc_v' => 30.0], null];
        yield 'after one on the mains' => ['contact-breaks-dc', $two('relay-bank-2-high', 'IN1', ['ac', LoadKind::Resistive, 100.0], ['high', LoadKind::Resistive, 48.0]), [$arc]];
        yield 'after one at 30 V' => ['contact-breaks-dc', $two('relay-bank-2-high', 'IN1', ['low', LoadKind::Resistive, 100.0], ['high', LoadKind::Resistive, 48.0]), [$arc]];
        yield 'after a small one' => ['contact-breaks-dc', $two('relay-bank-2-high', 'IN1', ['high', LoadKind::Resistive, 10.0], ['high', LoadKind::Resistive, 48.0]), [$arc]];
        yield 'of which nobody read the plate a contact may bear it' => ['contact-breaks-dc', $two('relay-bank-2-high', 'IN1', ['high', LoadKind::Resistive, null]), []];
        yield 'a transistor breaks through whatever it draws' => ['contact-breaks-dc', $two('transistor-4v5', 'GATE', ['low', LoadKind::Resistive, 10.0], ['high', LoadKind::Resistive, null]), [$arc]];
        yield 'a triac has another fault' => ['contact-breaks-dc', $two('solid-state-bank-2', 'CH1', ['high', LoadKind::Resistive, 10.0]), []];
        yield 'after one whose own fuse saves it' => ['fuse-above-contact', $two('relay-bank-2-high', 'IN1', ['ac', LoadKind::Lamp, 115.0, ['fuseA' => 5.0, 'fuseAt' => 'before']], ['ac', LoadKind::Lamp, 115.0]), [[['fuse_a' => 16.0, 'most_a' => 5.0, 'right_a' => 0.63], 'A fuse of 0.63 A before it']]];
        yield 'two motors on one contact, which a fuse of 6 A outlives' => ['fuse-too-quick', static fn (Sketch $s): Sketch => $two('relay-bank-2-high', 'IN1', ['six', LoadKind::Motor, 230.0], ['six', LoadKind::Motor, 230.0])($s->circuit('six', 'Six', ['fuseA' => 6.0])), [[['surge_a' => 20.0, 'fuse_a' => 6.0], null]]];
        yield 'a motor and one that nobody read' => ['fuse-too-quick', static fn (Sketch $s): Sketch => $two('relay-bank-2-high', 'IN1', ['six', LoadKind::Motor, 414.0], ['six', LoadKind::Motor, null])($s->circuit('six', 'Six', ['fuseA' => 6.0])), []];
        yield 'a motor and a heater on one contact' => ['fuse-too-quick', static fn (Sketch $s): Sketch => $two('relay-bank-2-high', 'IN1', ['six', LoadKind::Motor, 414.0], ['six', LoadKind::Resistive, 400.0])($s->circuit('six', 'Six', ['fuseA' => 6.0])), []];
        $after = static fn (array $first, array $second, float $watts, LoadKind $kind = LoadKind::Resistive): Closure => static fn (Sketch $s): Sketch => $s->circuit('a', 'A', $first)->circuit('b', 'B', $second)->load('l', 'Thing', null, 'b', $kind, $watts, ['use' => 'always-on']);
        yield 'after one that holds' => ['circuit-overloaded', $after(['fuseA' => 10.0], ['fuseA' => 4.0], 920.0), [[['load_a' => 4.0, 'fuse_a' => 4.0], null]]];
        yield 'after one without a fuse' => ['circuit-overloaded', $after([], ['fuseA' => 4.0], 920.0), [[['load_a' => 4.0, 'fuse_a' => 4.0], null]]];
        yield 'a quick one after a slow one' => ['fuse-too-quick', $after(['fuseA' => 6.0, 'timeLag' => true], ['fuseA' => 6.0], 437.0, LoadKind::Motor), [[['surge_a' => 19.0, 'fuse_a' => 6.0], 'A time-lag one']]];
        yield 'after one on which nothing hangs' => ['fuse-too-quick', $after(['fuseA' => 6.0], ['fuseA' => 6.0], 437.0, LoadKind::Motor), [[['surge_a' => 19.0, 'fuse_a' => 6.0], 'A time-lag one']]];
        $fromSupply = static fn (array $supply): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', 'lead-12v', 'Battery', more: $supply)->load('l', 'Thing', null, null, LoadKind::Resistive, 12.0, ['use' => 'always-on', 'mm2' => 0.5, 'supplyId' => $s->id('p')]);
        yield 'the fuse of a supply saves a cord' => ['cord-burns', $fromSupply(['fuseA' => 3.0]), []];
        yield 'or holds longer' => ['cord-burns', $fromSupply(['fuseA' => 4.0]), [[['cord_a' => 3.0, 'load_a' => 1.0, 'fuse_a' => 4.0], 'A fuse of 1.25 A before it']]];
        yield 'no fuse, and little drawn, from a supply' => ['cord-burns', $fromSupply([]), []];

        $leaks = static fn (float $each, int $count = 1): array => [LoadKind::Resistive, 23.0, ['leakageMa' => $each, 'count' => $count]];
        yield '15 mA of leaks' => ['residual-trips', $circuit(['fuseA' => 10.0, 'residual' => true], $leaks(7.0), $leaks(8.0)), []];
        yield '15.1 mA: without the worse the rest is well' => ['residual-trips', $circuit(['fuseA' => 10.0, 'residual' => true], $leaks(7.0), $leaks(8.1)), [[['sum_ma' => 15.1, 'most_ma' => 15.0], 'Unplug Thing 1 this season']]];
        yield 'of several each counts' => ['residual-trips', $circuit(['fuseA' => 10.0, 'residual' => true], $leaks(4.0, 2), $leaks(7.5)), [[['sum_ma' => 15.5, 'most_ma' => 15.0], 'Unplug Thing 0 this season']]];
        yield 'two that are too much each' => ['residual-trips', $circuit(['fuseA' => 10.0, 'residual' => true], $leaks(16.0), $leaks(15.5)), [[['sum_ma' => 31.5, 'most_ma' => 15.0], null]]];
        yield 'two that are just too much together with a third' => ['residual-trips', $circuit(['fuseA' => 10.0, 'residual' => true], $leaks(10.0), $leaks(10.0), $leaks(5.0)), [[['sum_ma' => 25.0, 'most_ma' => 15.0], 'Unplug Thing 0 this season']]];
        yield 'no device that sees it' => ['residual-trips', $circuit(['fuseA' => 10.0], $leaks(20.0)), []];
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<array{array<string, float|int|null>, string|null}>  $expected
     */
    #[DataProvider('cases')]
    public function test_the_figures_and_what_is_offered(string $rule, Closure $plan, array $expected): void
    {
        self::assertSays($expected, $rule, $plan(self::sketch()));
    }
}
