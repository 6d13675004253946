<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/**
 * A row a case: what hangs where, and what each rule about loads must say of it. Ratings of fuses: IEC 60127 and 60898; cords, inrush, derating and
 * contacts: the firm's trade book §11 and §13 (common practice and data sheets from memory); 15 mA: IEC 61008.
 */
final class LoadRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $on = static fn (string $class = 'relay-bank-2-high', string $channel = 'IN1', array $more = []): Closure => static fn (Sketch $s): Sketch => $s
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)
            ->module('m', 'n', $class, 'Bank', str_starts_with($class, 'transistor') ? null : 'plug')
            ->output('o', 'n', 'Out', str_starts_with($class, 'transistor') ? OutputKind::Pwm : OutputKind::Relay, 'm', $channel, more: $more)
            ->circuit('ac', 'Mains', ['fuseA' => 10.0, 'timeLag' => true])
            ->circuit('dc', 'Low', ['volts' => 12.0, 'direct' => true, 'fuseA' => 5.0, 'timeLag' => true])
            ->circuit('dc48', 'Store', ['volts' => 48.0, 'direct' => true, 'fuseA' => 5.0, 'timeLag' => true]);
        $load = static fn (LoadKind $kind, ?float $watts, string $circuit = 'ac', array $values = [], string $class = 'relay-bank-2-high', string $channel = 'IN1'): Closure => static fn (Sketch $s): Sketch => $on($class, $channel)($s)->load('l', 'Thing', 'o', $circuit, $kind, $watts, $values);

        // 10 A are printed; a hobby board bears 5 at the mains; a motor 20 % and a lamp 10 % of what is printed.
        yield 'a heater of 1,150 W on a hobby board' => ['contact-overloaded', $load(LoadKind::Resistive, 1_150.0), []];
        yield 'a heater of 1,200 W' => ['contact-overloaded', $load(LoadKind::Resistive, 1_200.0), ['Out switches more than its relay bears']];
        yield 'a pump of 450 W' => ['contact-overloaded', $load(LoadKind::Motor, 450.0), []];
        yield 'a pump of 470 W' => ['contact-overloaded', $load(LoadKind::Motor, 470.0), ['Out switches more than its relay bears']];
        yield 'lamps of 230 W' => ['contact-overloaded', $load(LoadKind::Lamp, 230.0), []];
        yield 'five lamps of 60 W' => ['contact-overloaded', $load(LoadKind::Lamp, 60.0, 'ac', ['count' => 5]), ['Out switches more than its relay bears']];
        yield 'half of one kind and more than half of another' => ['contact-overloaded', static fn (Sketch $s): Sketch => $load(LoadKind::Motor, 250.0)($s)->load('l2', 'Other', 'o', 'ac', LoadKind::Resistive, 700.0), ['Out switches more than its relay bears']];
        yield 'one ampere on a triac' => ['contact-overloaded', $load(LoadKind::Resistive, 230.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];
        yield 'more than one' => ['contact-overloaded', $load(LoadKind::Resistive, 240.0, 'ac', [], 'solid-state-bank-2', 'CH1'), ['Out switches more than its solid-state relay bears']];
        yield 'unplugged it takes nothing' => ['contact-overloaded', $load(LoadKind::Resistive, 2_000.0, 'ac', ['use' => 'unplugged']), []];

        // 48 V of direct current: a tenth of what is printed, and that derated.
        yield 'a contact at 12 V DC' => ['contact-breaks-dc', $load(LoadKind::Motor, 20.0, 'dc'), []];
        yield 'a contact at 48 V DC, 0.8 A' => ['contact-breaks-dc', $load(LoadKind::Resistive, 38.0, 'dc48'), []];
        yield 'a contact at 48 V DC, 1 A' => ['contact-breaks-dc', $load(LoadKind::Resistive, 48.0, 'dc48'), ['Out breaks 48 V of direct current, which its relay cannot']];
        yield 'a transistor for 30 V at 48' => ['contact-breaks-dc', $load(LoadKind::Resistive, 5.0, 'dc48', [], 'transistor-4v5', 'GATE'), ['Out breaks 48 V of direct current, which its transistor cannot']];
        yield 'a triac on direct current' => ['triac-on-direct-current', $load(LoadKind::Resistive, 10.0, 'dc', [], 'solid-state-bank-2', 'CH1'), ['Out never goes off again: Thing is on direct current']];
        yield 'a triac on the mains' => ['triac-on-direct-current', $load(LoadKind::Resistive, 100.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];
        yield 'a transistor on the mains' => ['transistor-on-mains', $load(LoadKind::Resistive, 10.0, 'ac', [], 'transistor-4v5', 'GATE'), ['Out cannot switch Thing: a transistor conducts half of alternating current by itself']];
        yield 'a transistor at 12 V' => ['transistor-on-mains', $load(LoadKind::Resistive, 10.0, 'dc', [], 'transistor-4v5', 'GATE'), []];
        yield '8 W on a triac: 35 mA' => ['triac-holds-not', $load(LoadKind::Resistive, 8.0, 'ac', [], 'solid-state-bank-2', 'CH1'), ['Out flickers: its load is too small for a solid-state relay']];
        yield 'an LED lamp of 15 W on a triac that leaks 5 mA' => ['triac-holds-not', $load(LoadKind::Capacitive, 15.0, 'ac', [], 'solid-state-bank-2', 'CH1'), ['What hangs on Out glows while it is off']];
        yield '20 W of heat on a triac' => ['triac-holds-not', $load(LoadKind::Resistive, 20.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];
        // 30 A for a period; LED and capacitive 40 times.
        yield 'LED lamps of 150 W: 26 A' => ['surge-kills', $load(LoadKind::Capacitive, 150.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];
        yield 'LED lamps of 180 W: 31 A' => ['surge-kills', $load(LoadKind::Capacitive, 180.0, 'ac', [], 'solid-state-bank-2', 'CH1'), ['Switching on what hangs on Out destroys its solid-state relay']];

        // 12 V and 2 A: a motor of 0.2 A takes ten times that when it starts, a filament fifteen.
        $starts = static fn (string $class, array ...$loads): Closure => static fn (Sketch $s): Sketch => array_reduce(array_keys($loads), static fn (Sketch $s, int|string $at): Sketch => $s->load("l{$at}", "Thing {$at}", $loads[$at][2] ?? null, null, $loads[$at][0], $loads[$at][1], ['supplyId' => $s->id($loads[$at][3] ?? 'p'), ...($loads[$at][4] ?? [])]),
            $on()($s)->output('o2', 'n', 'Other', OutputKind::Relay, 'm', 'IN2')->supply('p', 'n', $class, 'Twelve', more: $class === 'bench' ? ['volts' => 12.0, 'limitMa' => 2_000] : [])->supply('y', 'n', 'line', 'Line', 'p'));
        yield 'a motor of 2.4 W' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.4, 'o']), []];
        yield 'of 2.5 W' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.5, 'o']), ['Thing 0 may not start on Twelve']];
        yield 'filaments of 1.6 W' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Lamp, 1.6, 'o']), []];
        yield 'of 1.7 W' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Lamp, 1.7, 'o']), ['Thing 0 may not start on Twelve']];
        yield 'a heater of 20 W starts as it goes on' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Resistive, 20.0, 'o']), []];
        yield 'capacitors are full, and iron right, within a period' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Capacitive, 20.0, 'o'], [LoadKind::Inductive, 2.0, 'o2']), []];
        yield 'while another runs: 1.9 A beside 0.2' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.28, 'o'], [LoadKind::Motor, 2.4, 'o2']), ['Thing 1 may not start on Twelve']];
        yield 'two small ones by two contacts: 1 A beside 0.1' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 1.2, 'o'], [LoadKind::Motor, 1.2, 'o2']), []];
        yield 'of 1.3 W by one contact' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 1.3, 'o'], [LoadKind::Motor, 1.3, 'o']), ['Thing 0 may not start on Twelve']];
        yield 'at the end of a line' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.5, 'o', 'y']), ['Thing 0 may not start on Twelve']];
        yield 'always on, it starts with its supply' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.5, null, 'p', ['use' => 'always-on']]), ['Thing 0 may not start on Twelve']];
        yield 'unplugged it never starts' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 2.5, 'o', 'p', ['use' => 'unplugged']]), []];
        yield 'nobody has read its plate' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, null, 'o']), []];
        yield 'a battery gives it for a moment' => ['start-starves', $starts('lead-12v', [LoadKind::Motor, 40.0, 'o']), []];
        yield 'that it is too much once it runs is another finding' => ['start-starves', $starts('plug-12v-2a', [LoadKind::Motor, 25.0, 'o']), ['Thing 0 may not start on Twelve']];
        yield 'a bench supply that is set to so much' => ['start-starves', $starts('bench', [LoadKind::Motor, 2.5, 'o']), ['Thing 0 may not start on Twelve']];
        $beside = static fn (Closure $plan): Closure => static fn (Sketch $s): Sketch => $plan($s)->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->supply('buck', 'far', 'buck', 'Five', 'p', FeedsAt::FiveVolt, ['volts' => 5.0]);
        yield 'a board on the same' => ['start-starves', $beside($starts('plug-12v-2a', [LoadKind::Motor, 2.5, 'o'])), ['Far goes down when Thing 0 starts']];
        yield 'and a small motor' => ['start-starves', $beside($starts('plug-12v-2a', [LoadKind::Motor, 2.3, 'o'])), []];

        // Bipolar, a bridge keeps 1.8 V at an ampere; of MOSFETs half a volt.
        $turns = static fn (float $volts, string $class = 'motor-bridge-2', string $channel = 'ENA'): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->supply('p', 'n', 'bench', 'Motors', more: ['volts' => $volts])
            ->module('m', 'n', $class, 'Bridge', 'plug')->output('o', 'n', 'Out', OutputKind::Motor, 'm', $channel)->load('l', 'Thing', 'o', null, LoadKind::Motor, 0.5, ['supplyId' => $s->id('p')]);
        yield 'a motor of 5.4 V: two thirds are left' => ['switch-keeps-volts', $turns(5.4), []];
        yield 'of 5.3 V' => ['switch-keeps-volts', $turns(5.3), ['Thing gets 3.5 of 5.3 V']];
        yield 'of 3 V' => ['switch-keeps-volts', $turns(3.0), ['Thing gets 1.2 of 3 V']];
        yield 'of one' => ['switch-keeps-volts', $turns(1.0), ['Thing gets 0 of 1 V']];
        yield 'of 3 V by MOSFETs' => ['switch-keeps-volts', $turns(3.0, 'motor-bridge-low-2', 'PWMA'), []];
        yield 'of 1.4' => ['switch-keeps-volts', $turns(1.4, 'motor-bridge-low-2', 'PWMA'), ['Thing gets 0.9 of 1.4 V']];
        yield 'after one that hangs on nothing, and one on the mains' => ['switch-keeps-volts', static fn (Sketch $s): Sketch => $turns(9.0)($s)->circuit('ac', 'Mains', ['fuseA' => 10.0])->load('x', 'Adrift', 'o', null, LoadKind::Motor, 0.5)->load('y', 'Pump', 'o', 'ac', LoadKind::Motor, 50.0)->supply('q', 'n', 'bench', 'Weak', more: ['volts' => 3.0])->load('z', 'Last', 'o', null, LoadKind::Motor, 0.5, ['supplyId' => $s->id('q')]), ['Last gets 1.2 of 3 V']];
        yield 'a triac at the mains keeps next to nothing' => ['switch-keeps-volts', $load(LoadKind::Resistive, 100.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];

        yield '10 A before a board of 5' => ['fuse-above-contact', $load(LoadKind::Resistive, 100.0), ['The fuse before Out is larger than its relay bears']];
        yield 'a fuse of its own of 1 A' => ['fuse-above-contact', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 1.0]), []];
        yield '2 A before a triac' => ['fuse-above-contact', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 2.0], 'solid-state-bank-2', 'CH1'), []];
        yield '2.5 A before a triac' => ['fuse-above-contact', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 2.5], 'solid-state-bank-2', 'CH1'), ['The fuse before Out is larger than its solid-state relay bears']];
        yield 'the circuit\'s own 2 A, time-lag, before a triac' => ['fuse-above-contact', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 100.0, 'small', [], 'solid-state-bank-2', 'CH1')($s->circuit('small', 'Small', ['fuseA' => 2.0, 'timeLag' => true])), ['The fuse before Out is slower than its solid-state relay dies']];
        yield 'a quick one' => ['fuse-above-contact', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 100.0, 'small', [], 'solid-state-bank-2', 'CH1')($s->circuit('small', 'Small', ['fuseA' => 2.0])), []];
        yield 'one behind the contact does not count' => ['fuse-above-contact', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 1.0, 'fuseAt' => 'after']), ['The fuse before Out is larger than its relay bears']];
        yield 'behind the contact' => ['fuse-misplaced', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 1.0, 'fuseAt' => 'after']), ['The fuse of Thing is behind the contact']];
        yield 'in the neutral' => ['fuse-misplaced', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 1.0, 'fuseAt' => 'neutral']), ['The fuse of Thing is in the neutral']];
        yield 'before the contact' => ['fuse-misplaced', $load(LoadKind::Resistive, 100.0, 'ac', ['fuseA' => 1.0]), []];
        yield 'the neutral is broken' => ['neutral-switched', $load(LoadKind::Resistive, 100.0, 'ac', ['breaksNeutral' => true]), ['Out breaks the neutral of Thing']];
        yield 'minus of 12 V is broken' => ['neutral-switched', $load(LoadKind::Resistive, 100.0, 'dc', ['breaksNeutral' => true]), []];

        yield 'a motor at 12 V without a diode' => ['flyback-missing', $load(LoadKind::Motor, 10.0, 'dc'), ['Thing gives a blow back to Out each time it goes off']];
        yield 'with one' => ['flyback-missing', static fn (Sketch $s): Sketch => $load(LoadKind::Motor, 10.0, 'dc')($s)->part('m', 'IN1', PartKind::FlybackDiode), []];
        yield 'a heater at 12 V' => ['flyback-missing', $load(LoadKind::Resistive, 10.0, 'dc'), []];
        yield 'a valve on alternating current' => ['snubber-missing', $load(LoadKind::Inductive, 10.0), ['Out draws an arc when Thing goes off']];
        yield 'with a snubber' => ['snubber-missing', static fn (Sketch $s): Sketch => $load(LoadKind::Inductive, 10.0)($s)->part('m', 'IN1', PartKind::Snubber), []];
        yield 'a triac goes out at the zero' => ['snubber-missing', $load(LoadKind::Inductive, 100.0, 'ac', [], 'solid-state-bank-2', 'CH1'), []];

        $circuit = static fn (array $values, float $watts, LoadKind $kind = LoadKind::Resistive, array $more = []): Closure => static fn (Sketch $s): Sketch => $s->circuit('c', 'C', $values)->load('l', 'Thing', null, 'c', $kind, $watts, ['use' => 'always-on', ...$more]);
        yield 'no fuse' => ['circuit-unfused', $circuit([], 100.0), ['Circuit C has no fuse']];
        yield 'no fuse, nothing on it' => ['circuit-unfused', static fn (Sketch $s): Sketch => $s->circuit('c', 'C'), []];
        yield 'fused further up' => ['circuit-unfused', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['fuseA' => 6.0])->circuit('c', 'C', [], 'p')->load('l', 'Thing', null, 'c', LoadKind::Resistive, 100.0, ['use' => 'always-on']), []];
        yield '8 A behind 10' => ['circuit-overloaded', $circuit(['fuseA' => 10.0], 1_840.0), []];
        yield '8.1 A behind 10' => ['circuit-overloaded', $circuit(['fuseA' => 10.0], 1_863.0), ['The fuse of circuit C blows when all is on']];
        yield 'what branches off counts' => ['circuit-overloaded', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['fuseA' => 6.0])->circuit('c', 'C', ['fuseA' => 4.0], 'p')->load('l', 'Thing', null, 'p', LoadKind::Resistive, 690.0, ['use' => 'always-on'])->load('k', 'Other', null, 'c', LoadKind::Resistive, 690.0, ['use' => 'always-on']), ['The fuse of circuit P blows when all is on']];
        yield '10 A on 1 mm²' => ['circuit-cable-burns', $circuit(['fuseA' => 10.0, 'mm2' => 1.0], 100.0), []];
        yield '13 A on 1 mm²' => ['circuit-cable-burns', $circuit(['fuseA' => 13.0, 'mm2' => 1.0], 100.0), ['The wiring of circuit C burns before its fuse blows']];
        yield 'a transformer of 300 W behind a quick fuse of 6 A: 20 A' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], 300.0, LoadKind::Inductive), ['The fuse of circuit C blows when something on it is switched on']];
        yield 'behind a time-lag one' => ['fuse-too-quick', $circuit(['fuseA' => 6.0, 'timeLag' => true], 300.0, LoadKind::Inductive), []];
        yield 'a heater has no surge' => ['fuse-too-quick', $circuit(['fuseA' => 6.0], 1_000.0), []];
        yield 'the fuse in the neutral' => ['fuse-in-neutral', $circuit(['fuseA' => 6.0, 'inNeutral' => true], 10.0), ['The fuse of circuit C is in the neutral']];
        yield '10 A behind 10 A' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['fuseA' => 10.0])->circuit('c', 'C', ['fuseA' => 10.0], 'p'), ['A fault on C darkens all of P']];
        yield '6 A behind 10 A' => ['fuse-not-selective', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['fuseA' => 10.0])->circuit('c', 'C', ['fuseA' => 6.0], 'p'), []];
        yield 'outdoors without' => ['residual-missing', $circuit(['fuseA' => 6.0, 'outdoors' => true], 10.0), ['Circuit C is outdoors and has no residual-current protection']];
        yield 'outdoors at 12 V' => ['residual-missing', $circuit(['fuseA' => 6.0, 'outdoors' => true, 'volts' => 12.0], 10.0), []];
        yield 'outdoors behind one further up' => ['residual-missing', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['residual' => true])->circuit('c', 'C', ['outdoors' => true], 'p'), []];
        yield '15 mA leak' => ['residual-trips', $circuit(['fuseA' => 6.0, 'residual' => true], 10.0, LoadKind::Resistive, ['leakageMa' => 3.0, 'count' => 5]), []];
        yield '16 mA leak' => ['residual-trips', $circuit(['fuseA' => 6.0, 'residual' => true], 10.0, LoadKind::Resistive, ['leakageMa' => 4.0, 'count' => 4]), ['The residual-current device of circuit C trips on a damp morning']];
        yield 'a device of its own takes a branch off' => ['residual-trips', static fn (Sketch $s): Sketch => $s->circuit('p', 'P', ['residual' => true])->circuit('c', 'C', ['residual' => true], 'p')->load('l', 'Thing', null, 'p', LoadKind::Resistive, 9.0, ['leakageMa' => 9.0])->load('k', 'Other', null, 'c', LoadKind::Resistive, 9.0, ['leakageMa' => 9.0]), []];
        yield '0.75 mm² for 6 A' => ['cord-burns', $circuit(['fuseA' => 6.0], 1_300.0, LoadKind::Resistive, ['mm2' => 0.75]), []];
        yield '0.75 mm² behind 10 A' => ['cord-burns', $circuit(['fuseA' => 10.0], 100.0, LoadKind::Resistive, ['mm2' => 0.75]), ['The cord of Thing burns before a fuse blows']];
        yield 'a fuse of its own saves it' => ['cord-burns', $circuit(['fuseA' => 10.0], 100.0, LoadKind::Resistive, ['mm2' => 0.75, 'fuseA' => 1.0]), []];
        yield '0.87 A through a fuse of 1 A' => ['fuse-below-load', $circuit(['fuseA' => 10.0], 200.0, LoadKind::Resistive, ['fuseA' => 1.0]), ['The fuse of Thing blows while it runs']];
        yield '0.8 A through it' => ['fuse-below-load', $circuit(['fuseA' => 10.0], 184.0, LoadKind::Resistive, ['fuseA' => 1.0]), []];
        yield 'fed by nothing' => ['load-unfed', static fn (Sketch $s): Sketch => $on()($s)->load('l', 'Thing', 'o', null, LoadKind::Resistive, 10.0), ['Nobody has said what feeds Thing']];
        yield 'fed twice' => ['load-unfed', static fn (Sketch $s): Sketch => $on()($s)->load('l', 'Thing', 'o', 'ac', LoadKind::Resistive, 10.0, ['supplyId' => $s->id('plug')]), ['Thing hangs on a circuit and on a supply']];
        yield 'a spare is fed by nothing' => ['load-unfed', static fn (Sketch $s): Sketch => $on()($s)->load('l', 'Thing', 'o', null, LoadKind::Resistive, null, ['use' => 'spare']), []];
        yield 'no plate' => ['load-unread', $load(LoadKind::Resistive, null), ['Nobody has read the plate of Thing']];
        yield 'on no output' => ['load-adrift', $circuit(['fuseA' => 6.0], 10.0, LoadKind::Resistive, ['use' => 'switched']), ['No output switches Thing']];
        yield 'always on, on an output' => ['always-on-switched', $load(LoadKind::Resistive, 10.0, 'ac', ['use' => 'always-on']), ['Thing is to be on at all times, and Out switches it']];
        yield 'two things on one outlet number' => ['outlet-twice', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 10.0, 'ac', ['outlet' => '7'])($s)->load('k', 'Other', null, 'ac', LoadKind::Resistive, 10.0, ['outlet' => '7', 'use' => 'always-on']), ['Outlet 7 is Thing and Other']];
        yield 'two things of one output by one plug' => ['outlet-twice', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 10.0, 'ac', ['outlet' => '7'])($s)->load('k', 'Other', 'o', 'ac', LoadKind::Resistive, 10.0, ['outlet' => '7']), []];
        yield 'one contact for two circuits' => ['contact-joins-circuits', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 10.0)($s)->load('k', 'Other', 'o', 'dc', LoadKind::Resistive, 10.0), ['Out switches Thing and Other, which are fed by two circuits']];
        yield 'two things on one' => ['contact-joins-circuits', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 10.0)($s)->load('k', 'Other', 'o', 'ac', LoadKind::Resistive, 10.0), []];
        $jumperOff = static fn (string $rail): Closure => static fn (Sketch $s): Sketch => $on()($s)->supply('rail', 'n', $rail, 'Rail')->module('low', 'n', 'relay-bank-1-low', 'Low', 'plug', ['signalSupplyId' => $s->id('rail')]);
        // 3.3 V less 3 V for diode and indicator leave 0.2 mA.
        yield 'a signal side on 3.3 V' => ['signal-side-weak', $jumperOff('board-3v3'), ['The relays of Low do not pull in']];
        yield 'a signal side on 5 V' => ['signal-side-weak', $jumperOff('board-5v'), []];
        yield 'a circuit off itself' => ['circuit-in-circle', static fn (Sketch $s): Sketch => $s->circuit('c', 'C')->circuit('d', 'D', [], 'c')->change(ThingKind::Circuit, 'c', ['parentId' => $s->id('d')]), ['Circuit C branches off itself', 'Circuit D branches off itself']];
        yield 'mains beside 12 V' => ['voltages-mixed', static fn (Sketch $s): Sketch => $load(LoadKind::Resistive, 10.0)($s)->output('o2', 'n', 'Low', OutputKind::Relay, 'm', 'IN2')->load('k', 'Other', 'o2', 'dc', LoadKind::Resistive, 5.0), ['Bank has the mains on Out and low voltage on Low']];
        yield 'a hazard without a load' => ['load-unsaid', $on('relay-bank-2-high', 'IN1', ['hazards' => ['heat']]), ['Nobody has said what hangs on Out']];
        yield 'no hazard, no load' => ['load-unsaid', $on(), []];
        $told = static fn (Sketch $s, string $output): Sketch => $s->module('keys', 'n', 'button-pad-2', 'Keys')->control('key', 'n', 'Key')->route('key', Action::Toggle, $output);
        yield 'unplugged and told' => ['all-unplugged', static fn (Sketch $s): Sketch => $told($load(LoadKind::Resistive, 10.0, 'ac', ['use' => 'unplugged'])($s), 'o'), ['Nothing is plugged in at Out, and a route works it']];
        $pair = static fn (array $one, array $other, string $class = 'relay-bank-2-high'): Closure => static fn (Sketch $s): Sketch => $on($class, $class === 'solid-state-bank-2' ? 'CH1' : 'IN1', $one)($s)->output('o2', 'n', 'Other', OutputKind::Relay, 'm', $class === 'solid-state-bank-2' ? 'CH2' : 'IN2', more: ['neverWithIds' => [$s->id('o')], ...$other]);
        yield 'never together, by the program alone' => ['interlock-missing', $pair([], []), ['Other and Out must never be on together, and nothing but the program keeps them apart']];
        yield 'one line runs over the other\'s contact' => ['interlock-missing', $pair(['interlocked' => true], []), ['Other and Out must never be on together, and nothing but the program keeps them apart']];
        yield 'both do' => ['interlock-missing', $pair(['interlocked' => true], ['interlocked' => true]), []];
        yield 'no contacts to do it with' => ['interlock-impossible', $pair(['interlocked' => true], ['interlocked' => true], 'solid-state-bank-2'), ['Out has no contact that could open the other\'s line', 'Other has no contact that could open the other\'s line']];
        yield 'one key puts both on' => ['both-told', static fn (Sketch $s): Sketch => $told($pair([], [])($s), 'o')->route('key', Action::Toggle, 'o2'), ['Key asks Other and Out at once, which must never be on together']];
        // Three of which no two may be on: each pair is said once, whichever comes first.
        $three = static fn (array $each): Closure => static fn (Sketch $s): Sketch => $on('relay-bank-4-high', 'IN1', $each)($s)->output('o2', 'n', 'Other', OutputKind::Relay, 'm', 'IN2', more: ['neverWithIds' => [$s->id('o')], ...$each])->output('o3', 'n', 'Third', OutputKind::Relay, 'm', 'IN3', more: ['neverWithIds' => [$s->id('o'), $s->id('o2')], ...$each]);
        $pairs = static fn (Closure $says): array => [$says('Third', 'Other'), $says('Third', 'Out'), $says('Other', 'Out')];
        yield 'three, by the program alone' => ['interlock-missing', $three([]), $pairs(static fn (string $one, string $other): string => "{$one} and {$other} must never be on together, and nothing but the program keeps them apart")];
        yield 'three, all over each other' => ['interlock-missing', $three(['interlocked' => true]), []];
        yield 'one key for all three' => ['both-told', static fn (Sketch $s): Sketch => $told($three([])($s), 'o')->route('key', Action::On, 'o2')->route('key', Action::Toggle, 'o3'), $pairs(static fn (string $one, string $other): string => "Key asks {$one} and {$other} at once, which must never be on together")];
        yield 'one on, the others off' => ['both-told', static fn (Sketch $s): Sketch => $told($three([])($s), 'o')->route('key', Action::Off, 'o2')->route('key', Action::Off, 'o3'), []];
        yield 'each by its own key' => ['both-told', static fn (Sketch $s): Sketch => $told($three([])($s), 'o')->control('key2', 'n', 'Second')->route('key2', Action::On, 'o2'), []];
        $timer = static fn (int $min): Closure => static fn (Sketch $s): Sketch => $on('relay-bank-2-high', 'IN1', ['atStart' => 'last'])($s)->control('t', 'n', 'Timer', ControlKind::Timer, settings: ['everyMin' => $min])->route('t', Action::Toggle, 'o');
        // 10⁵ writes: every quarter of an hour 96 a day, 2.9 years; every five minutes 288, 347 days.
        yield 'kept each quarter of an hour' => ['restore-wears', $timer(15), []];
        yield 'kept every five minutes' => ['restore-wears', $timer(5), ['Keeping how Out stands wears the board\'s memory out in 347 days']];
    }

    /** What makes a board start anew, or a motor stand, is a fault; what may only be weak is warned of. */
    public function test_how_grave_a_start_and_what_a_bridge_keeps_are(): void
    {
        $motors = static fn (float $volts, float $watts, bool $board): Plan => ($board ? self::sketch()->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io') : self::sketch())
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('p', 'n', 'bench', 'Motors', more: ['volts' => $volts])
            ->supply('f', $board ? 'far' : 'n', 'buck', 'Five', 'p', $board ? FeedsAt::FiveVolt : null)->module('m', 'n', 'motor-bridge-2', 'Bridge')
            ->output('o', 'n', 'Out', OutputKind::Motor, 'm', 'ENA')->load('l', 'Thing', 'o', null, LoadKind::Motor, $watts, ['supplyId' => self::sketch()->id('p')])->plan();
        $graves = static fn (string $rule, Plan $plan): array => array_map(static fn (Finding $finding): Severity => $finding->severity, self::checker()->check($plan)->byRule()[$rule] ?? []);
        self::assertSame([Severity::Warning], $graves('start-starves', $motors(12.0, 6.0, false)));
        self::assertSame([Severity::Fault], $graves('start-starves', $motors(12.0, 6.0, true)));
        $plan = $motors(12.0, 6.25, false);
        [$finding] = self::checker()->check($plan)->byRule()['start-starves'];
        // Ten times 0.521 A, beside the milliampere that a buck keeps; three are there.
        self::assertStringContainsString('up to 10 times what its plate says: with all else 5.21 A from a supply good for 3 A', $finding->detail);
        self::assertSame([['start_ma' => 5_209.3, 'limit_ma' => 3_000.0], [self::sketch()->id('p')]], [$finding->numbers, $finding->about]);
        [$finding] = self::checker()->check($motors(3.59, 0.5, false))->byRule()['switch-keeps-volts'];
        self::assertSame([self::sketch()->id('o'), self::sketch()->id('l')], $finding->about);
        // 3.6 V: just half is left; a hair less is a fault.
        self::assertSame([Severity::Warning], $graves('switch-keeps-volts', $motors(3.6, 0.5, false)));
        self::assertSame([Severity::Fault], $graves('switch-keeps-volts', $motors(3.59, 0.5, false)));
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $plan, array $titles): void
    {
        $said = array_map(static fn (Finding $finding): string => $finding->title, self::found($plan(self::sketch())->plan(), $rule));
        sort($said);
        sort($titles);
        self::assertSame($titles, $said);
    }

    /** @return iterable<string, array{float, float, float|null}> fuse behind the contact, watts at 230 V, the fuse that is put before it; null where none is offered */
    public static function moved(): iterable
    {
        yield 'one that the semiconductor bears' => [2.0, 100.0, 2.0];
        yield 'one that is too large for it, where a smaller one holds: 0.43 A and a quarter' => [4.0, 100.0, 0.63];
        yield 'none that holds saves it: 1.96 A and a quarter' => [4.0, 450.0, null];
    }

    #[DataProvider('moved')]
    public function test_a_fuse_that_is_put_before_a_contact_is_one_that_saves_it(float $fuseA, float $watts, ?float $put): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)
            ->module('m', 'n', 'solid-state-bank-2', 'Bank', 'plug')->output('o', 'n', 'Out', OutputKind::Relay, 'm', 'CH1')
            ->circuit('ac', 'Mains', ['fuseA' => 2.0])->load('l', 'Thing', 'o', 'ac', LoadKind::Resistive, $watts, ['fuseA' => $fuseA, 'fuseAt' => 'after'])->plan();
        $fix = self::found($plan, 'fuse-misplaced')[0]->fix;
        self::assertSame($put === null, $fix === null);
        if ($fix !== null) {
            $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
            self::assertSame($put, $after->loads()[0]->fuseA);
            self::assertSame([], [...self::found($after, 'fuse-misplaced'), ...self::found($after, 'fuse-above-contact')]);
        }
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>, array<string, mixed>, string|null}> rule, circuit, load, another load on the circuit, and what is offered; a semiconductor bears 2 A, quick */
    public static function fuses(): iterable
    {
        $own = ['watts' => 400.0, 'fuseA' => 1.0];
        yield 'its own, larger than the semiconductor bears: 1.74 A and a quarter' => ['fuse-below-load', ['fuseA' => 10.0], $own, [], null];
        yield 'its own, where the semiconductor bears it: 1.3 A and a quarter' => ['fuse-below-load', ['fuseA' => 10.0], ['watts' => 300.0, 'fuseA' => 1.0], [], 'A fuse of 2 A'];
        yield 'its own behind the contact saves none' => ['fuse-below-load', ['fuseA' => 10.0], [...$own, 'fuseAt' => 'after'], [], 'A fuse of 2.5 A'];
        yield 'the circuit\'s, on which the semiconductor lives' => ['circuit-overloaded', ['fuseA' => 2.0, 'mm2' => 1.5], ['watts' => 100.0], ['watts' => 500.0], null];
        yield 'the circuit\'s, beside one of its own' => ['circuit-overloaded', ['fuseA' => 2.0, 'mm2' => 1.5], ['watts' => 100.0, 'fuseA' => 1.0], ['watts' => 500.0], 'A fuse of 4 A'];
        yield 'a slow one, on which it lives' => ['fuse-too-quick', ['fuseA' => 2.0], ['watts' => 50.0], ['watts' => 150.0, 'sort' => 'motor'], null];
        yield 'a slow one, beside a quick one of its own' => ['fuse-too-quick', ['fuseA' => 2.0], ['watts' => 50.0, 'fuseA' => 1.0], ['watts' => 150.0, 'sort' => 'motor'], 'A time-lag one'];
    }

    /**
     * @param  array<string, mixed>  $circuit
     * @param  array<string, mixed>  $load
     * @param  array<string, mixed>  $other
     */
    #[DataProvider('fuses')]
    public function test_no_fuse_is_offered_that_a_contact_does_not_outlive(string $rule, array $circuit, array $load, array $other, ?string $offered): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)
            ->module('m', 'n', 'solid-state-bank-2', 'Bank', 'plug')->output('o', 'n', 'Out', OutputKind::Relay, 'm', 'CH1')
            ->circuit('ac', 'Mains', $circuit)->load('l', 'Thing', 'o', 'ac', LoadKind::Resistive, null, $load);
        if ($other !== []) {
            $sketch->module('r', 'n', 'relay-bank-1-high', 'Relay', 'plug')->output('p', 'n', 'Other', OutputKind::Relay, 'r', 'IN1')->load('x', 'Other thing', 'p', 'ac', LoadKind::Resistive, null, $other);
        }
        self::assertSame([$offered], array_map(static fn (Finding $finding): ?string => $finding->fix?->label, self::found($sketch->plan(), $rule)));
    }
}
