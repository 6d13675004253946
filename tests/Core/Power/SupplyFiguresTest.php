<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/**
 * The figures that rules about supplies give, and what they offer, at the limits and a hair beyond. By hand, from what the classes say of themselves: a coil takes 80 mA, a
 * small servo 250 and 700 at its peak; a bench supply is within 2 % of what it is set to. Copper: 0.01724 Ω mm²/m (IEC 60028). Fuses: 1.25 times the peak, of the preferred
 * ratings of IEC 60127; hook-up wire bears 4 A to the square millimetre (common practice).
 */
final class SupplyFiguresTest extends CoreTestCase
{
    use SaysFigures;

    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>}> rule, plan, of each finding its figures and its fix */
    public static function cases(): iterable
    {
        $on = static fn (Sketch $s, string $board = '8bit-5v-20io'): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board);
        $fed = static fn (string $class, array $more, string $module, int $count = 1): Closure => static function (Sketch $s) use ($on, $class, $more, $module, $count): Sketch {
            $on($s)->supply('s', 'n', $class, 'Feed', more: $more);
            for ($number = 0; $number < $count; $number++) {
                $s->module("m{$number}", 'n', $module, "Part {$number}", 's');
            }

            return $s;
        };
        $through = static fn (string $class, float $volts, string $module): Closure => static fn (Sketch $s): Sketch => $on($s)
            ->supply('p', 'n', 'bench', 'Parent', null, null, ['volts' => $volts])->supply('s', 'n', $class, 'Regulator', 'p')->module('m', 'n', $module, 'Part', 's');

        // 3.529 V and 2 % more are 3.59958; a hundredth more is too much.
        yield 'a radio at 3.529 V' => ['supply-too-high', $fed('bench', ['volts' => 3.529], 'packet-radio-plain'), []];
        yield 'at 3.53' => ['supply-too-high', $fed('bench', ['volts' => 3.53], 'packet-radio-plain'), [[['gets_v' => 3.601, 'stands_v' => 3.6], 'Feed Part 0 from 3V3 pin']]];
        yield 'a coil at 4.847 V' => ['supply-too-low', $fed('bench', ['volts' => 4.847], 'relay-bank-1-low'), []];
        yield 'at 4.84' => ['supply-too-low', $fed('bench', ['volts' => 4.84], 'relay-bank-1-low'), [[['gets_v' => 4.743, 'needs_v' => 4.75], 'Feed Part 0 from 5V pin']]];

        yield 'twelve coils on an ampere' => ['weak-rail', $fed('plug-5v-1a', [], 'relay-bank-1-low', 12), []];
        yield 'thirteen' => ['weak-rail', $fed('plug-5v-1a', [], 'relay-bank-1-low', 13), [[['peak_ma' => 1_040.0, 'limit_ma' => 1_000.0], 'Feed Part 0 from 5V pin']]];
        yield 'twelve on what somebody measured, just enough' => ['weak-rail', $fed('plug-5v-1a', ['limitMa' => 960], 'relay-bank-1-low', 12), []];
        yield 'and a milliampere less' => ['weak-rail', $fed('plug-5v-1a', ['limitMa' => 959], 'relay-bank-1-low', 12), [[['peak_ma' => 960.0, 'limit_ma' => 959.0], 'Feed Part 0 from 5V pin']]];

        // A tiny board takes 350 mA at its peak and puts 100 into its cell; plugged in, all that comes from its socket, and what its pins give.
        $socket = static fn (int $limitMa, bool $cell = true): Closure => static fn (Sketch $s): Sketch => ($cell ? $on($s, 'wifi-3v3-13io')->supply('c', 'n', 'li-ion-cell', 'Cell', null, FeedsAt::Cell) : $on($s, 'wifi-3v3-13io'))->supply('u', 'n', 'bench', 'Feed', null, FeedsAt::Usb, ['volts' => 5.0, 'limitMa' => $limitMa]);
        $radio = static fn (Closure $fed): Closure => static fn (Sketch $s): Sketch => $fed($s)->module('m', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3);
        yield 'a socket that bears a board and the charge of its cell' => ['weak-rail', $socket(450), []];
        yield 'and one that bears a hair less' => ['weak-rail', $socket(449), [[['peak_ma' => 450.0, 'limit_ma' => 449.0], null]]];
        yield 'without a cell there is nothing to charge' => ['weak-rail', $socket(350, false), []];
        yield 'nor a hair to spare' => ['weak-rail', $socket(349, false), [[['peak_ma' => 350.0, 'limit_ma' => 349.0], null]]];
        yield 'a radio on its pin' => ['weak-rail', $radio($socket(464)), []];
        yield 'counts too' => ['weak-rail', $radio($socket(463)), [[['peak_ma' => 463.5, 'limit_ma' => 463.0], null]]];
        yield 'as a lamp on its pins does: (3.2 − 1.8) V through 1 kΩ' => ['weak-rail', static fn (Sketch $s): Sketch => $socket(451)($s)->module('l', 'n', 'indicator-lamp', 'Lamp')->wire('l', 'LED', 'IO3'), [[['peak_ma' => 451.4, 'limit_ma' => 451.0], null]]];

        // 0.64 A through 2 · l / A metres to the square millimetre: 22.067 mV each.
        yield 'eight coils at 2.8 m of 0.25 mm²' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 2.8, 'cableMm2' => 0.25], 'relay-bank-8-low'), []];
        yield 'at 2.9 m' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 2.9, 'cableMm2' => 0.25], 'relay-bank-8-low'), [[['drop_v' => 0.256, 'peak_ma' => 640.0], 'Take 0.5 mm²']]];
        yield 'at 5.7 m of 0.25 half a square millimetre is just too thin' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 5.7, 'cableMm2' => 0.25], 'relay-bank-8-low'), [[['drop_v' => 0.503, 'peak_ma' => 640.0], 'Take 0.75 mm²']]];
        // 0.14 mm² would lose little enough at a metre and a half, and bears 0.56 A.
        yield '1.5 m of hair' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 1.5, 'cableMm2' => 0.1], 'relay-bank-8-low'), [[['drop_v' => 0.331, 'peak_ma' => 640.0], 'Take 0.25 mm²']]];
        // Of each core so many metres, and a centimetre more: 5 V · 5 % through 22.067 mV.
        $cores = ['0.25' => 2.83, '0.5' => 5.66, '0.75' => 8.49, '1' => 11.32, '1.5' => 16.99, '2.5' => 28.32, '4' => 45.31];
        foreach ($cores as $core => $metres) {
            $next = array_keys($cores)[array_search($core, array_keys($cores), true) + 1] ?? null;
            foreach ([[$metres, $core], [$metres + 0.01, $next]] as [$length, $enough]) {
                yield "{$length} m of hair" => ['cable-drops', $fed('plug-5v-1a', ['cableM' => $length, 'cableMm2' => 0.1], 'relay-bank-8-low'), [[['drop_v' => round(2 * 0.01724 * $length / 0.1 * 0.64, 3), 'peak_ma' => 640.0], $enough === null ? null : "Take {$enough} mm²"]]];
            }
        }
        // Hook-up wire bears four amperes to the square millimetre: 0.56 A at 0.14 mm², however short.
        yield 'seven coils on 0.14 mm²' => ['supply-cable-burns', $fed('plug-5v-1a', ['cableM' => 0.2, 'cableMm2' => 0.14], 'relay-bank-1-low', 7), []];
        yield 'eight' => ['supply-cable-burns', $fed('plug-5v-1a', ['cableM' => 0.2, 'cableMm2' => 0.14], 'relay-bank-1-low', 8), [[['held_ma' => 640.0, 'cable_a' => 0.56], 'Take 0.25 mm²']]];
        yield 'at 4 m they lose too much in 0.25' => ['supply-cable-burns', $fed('plug-5v-1a', ['cableM' => 4.0, 'cableMm2' => 0.14], 'relay-bank-1-low', 8), [[['held_ma' => 640.0, 'cable_a' => 0.56], 'Take 0.5 mm²']]];
        yield 'of which the gauge alone is known' => ['supply-cable-burns', $fed('plug-5v-1a', ['cableMm2' => 0.14], 'relay-bank-1-low', 8), [[['held_ma' => 640.0, 'cable_a' => 0.56], 'Take 0.25 mm²']]];
        yield 'four servos that turn at an ampere, and stall for a moment only' => ['supply-cable-burns', $fed('plug-5v-3a', ['cableM' => 0.2, 'cableMm2' => 0.25], 'servo-small', 4), []];
        yield 'more coils than any core sold by the metre bears' => ['supply-cable-burns', $fed('bench', ['cableM' => 0.2, 'cableMm2' => 1.5, 'limitMa' => 30_000], 'relay-bank-8-low', 26), [[['held_ma' => 16_640.0, 'cable_a' => 16.0], null]]];
        yield 'a hundred metres are beyond any cord' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 100.0, 'cableMm2' => 1.5], 'relay-bank-8-low'), [[['drop_v' => 1.471, 'peak_ma' => 640.0], null]]];
        yield 'of which the length alone is known' => ['cable-drops', $fed('plug-5v-1a', ['cableM' => 100.0], 'relay-bank-8-low'), []];

        yield 'a servo through a regulator from 13 V: two watts' => ['regulator-hot', $through('linear-5v', 13.0, 'servo-small'), []];
        yield 'from 13.1' => ['regulator-hot', $through('linear-5v', 13.1, 'servo-small'), [[['heat_w' => 2.025, 'most_w' => 2.0], null]]];
        // A board of 30 mA and gas sensors of 150 on its 5 V pin, fed at VIN: 180 mA make a watt of 5.56 V above five; what hangs on the source beside the board goes past it.
        $atVin = static fn (float $volts, FeedsAt $at = FeedsAt::Vin, FedFrom|string $sensor = FedFrom::Board5V): Closure => static fn (Sketch $s): Sketch => $on($s)
            ->supply('f', 'n', 'bench', 'Feed', null, $at, ['volts' => $volts])->module('g', 'n', 'sensor-gas', 'Gas', $sensor);
        yield 'a watt in a board' => ['board-regulator-hot', $atVin(10.55), []];
        yield 'a hair more' => ['board-regulator-hot', $atVin(10.56), [[['heat_w' => 1.001, 'most_w' => 1.0], null]]];
        yield 'at USB nothing is too much' => ['board-regulator-hot', $atVin(10.56, FeedsAt::Usb), []];
        yield 'a board alone' => ['board-regulator-hot', static fn (Sketch $s): Sketch => $on($s)->supply('f', 'n', 'bench', 'Feed', null, FeedsAt::Vin, ['volts' => 12.0]), []];
        yield 'what hangs on the source itself goes past the board' => ['board-regulator-hot', $atVin(11.0, sensor: 'f'), []];
        yield 'a lamp on a pin goes through it: 183 mA' => ['board-regulator-hot', static fn (Sketch $s): Sketch => $atVin(10.5)($s)->module('l', 'n', 'indicator-lamp', 'Lamp')->wire('l', 'LED', 'D4'), [[['heat_w' => 1.007, 'most_w' => 1.0], null]]];
        // A board of one's own with a charger behind its VIN: 80 mA and 100 for the cell make 1.008 W of 5.6 V above five, and 0.99 of 5.5.
        $charges = static fn (float $volts): Closure => static function (Sketch $s) use ($volts): Sketch {
            $s->describe(ThingKind::OwnBoard, 'own', 'Own', 'wifi-3v3-13io', ['inputs' => [['at' => 'vin', 'name' => 'VIN', 'minV' => 7, 'maxV' => 14], ['at' => 'cell', 'name' => 'battery pads', 'minV' => 3.0, 'maxV' => 4.25, 'chargeMa' => 100]]]);

            return $s->node('n', 'N', NodeKind::Controller, null, $s->classOf('own'))->supply('c', 'n', 'li-ion-cell', 'Cell', null, FeedsAt::Cell)->supply('f', 'n', 'bench', 'Feed', null, FeedsAt::Vin, ['volts' => $volts]);
        };
        yield 'a charge goes through it' => ['board-regulator-hot', $charges(10.6), [[['heat_w' => 1.008, 'most_w' => 1.0], null]]];
        yield 'and a little less of it' => ['board-regulator-hot', $charges(10.5), []];
        yield 'what the 3.3 V pin gives goes through it too' => ['board-regulator-hot', static fn (Sketch $s): Sketch => $atVin(10.5)($s)->module('x', 'n', 'packet-radio-plain', 'Radio', FedFrom::Board3V3), [[['heat_w' => 1.056, 'most_w' => 1.0], null]]];
        yield 'a board that has no such input' => ['board-regulator-hot', static fn (Sketch $s): Sketch => $on($s, 'computer-40pin')->supply('f', 'n', 'bench', 'Feed', null, FeedsAt::Vin, ['volts' => 12.0]), []];
        yield 'the second of two that feed it feeds nothing' => ['board-regulator-hot', static fn (Sketch $s): Sketch => $on($s)->supply('u', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::Usb)->supply('f', 'n', 'bench', 'Feed', null, FeedsAt::Vin, ['volts' => 12.0])->module('g', 'n', 'sensor-gas', 'Gas', FedFrom::Board5V)->module('h', 'n', 'sensor-gas', 'Gas', FedFrom::Board5V), []];
        yield 'a buck gets no hotter for that' => ['regulator-hot', $through('buck', 23.0, 'servo-small'), []];
        yield 'five from 7.143 V' => ['regulator-drops-out', $through('linear-5v', 7.143, 'relay-bank-1-low'), []];
        yield 'from 7.14' => ['regulator-drops-out', $through('linear-5v', 7.14, 'relay-bank-1-low'), [[['gets_v' => 6.997, 'needs_v' => 7.0], null]]];
        yield 'a buck from 5.919 V' => ['regulator-drops-out', $through('buck', 5.919, 'relay-bank-1-low'), []];
        yield 'from 5.91' => ['regulator-drops-out', $through('buck', 5.91, 'relay-bank-1-low'), [[['gets_v' => 5.792, 'needs_v' => 5.8], null]]];
        yield 'a regulator at 24.509 V' => ['regulator-overfed', $through('linear-5v', 24.509, 'relay-bank-1-low'), []];
        yield 'at 24.525' => ['regulator-overfed', $through('linear-5v', 24.525, 'relay-bank-1-low'), [[['gets_v' => 25.016, 'stands_v' => 25.0], null]]];

        foreach ([[0.8, true], [0.79, false], [17.0, true], [17.1, false]] as [$volts, $can]) {
            yield "a buck set to {$volts}" => ['supply-cannot-give', $fed('buck', ['volts' => $volts], 'relay-bank-1-low'), $can ? [] : [[['says_v' => $volts, 'from_v' => 0.8, 'to_v' => 17.0], 'Let it give what its class does']]];
        }
        yield 'a battery gives what it has' => ['supply-cannot-give', $fed('lead-12v', ['volts' => 6.0], 'relay-bank-1-low'), []];

        yield '0.7 A behind 0.875' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 0.875], 'servo-small'), []];
        yield 'behind 0.87' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 0.87], 'servo-small'), [[['fuse_a' => 0.87, 'least_a' => 0.875], 'Take a fuse of 1 A']]];
        yield 'on wire that bears just that' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 0.87, 'cableM' => 1.0, 'cableMm2' => 0.25], 'servo-small'), [[['fuse_a' => 0.87, 'least_a' => 0.875], 'Take a fuse of 1 A']]];
        yield 'on wire that bears less' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 0.87, 'cableM' => 1.0, 'cableMm2' => 0.24], 'servo-small'), [[['fuse_a' => 0.87, 'least_a' => 0.875], null]]];
        yield 'a quarter of a square millimetre behind 1 A' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 1.0, 'cableM' => 1.0, 'cableMm2' => 0.25], 'servo-small'), []];
        yield 'behind 1.25' => ['fuse-unfit', $fed('lead-12v', ['fuseA' => 1.25, 'cableM' => 1.0, 'cableMm2' => 0.25], 'servo-small'), [[['fuse_a' => 1.25, 'cable_a' => 1.0], 'Take a fuse of 1 A']]];
        yield 'a battery without a fuse' => ['fuse-missing', $fed('lead-12v', [], 'servo-small'), [[['fuse_a' => 1.0], 'Put a fuse of 1 A behind it']]];
        yield 'ten coils, which want just an ampere' => ['fuse-missing', $fed('lead-12v', [], 'relay-bank-1-low', 10), [[['fuse_a' => 1.0], 'Put a fuse of 1 A behind it']]];
        yield 'eleven' => ['fuse-missing', $fed('lead-12v', [], 'relay-bank-1-low', 11), [[['fuse_a' => 1.25], 'Put a fuse of 1.25 A behind it']]];
        yield 'on wire that bears just it' => ['fuse-missing', $fed('lead-12v', ['cableM' => 1.0, 'cableMm2' => 0.25], 'servo-small'), [[['fuse_a' => 1.0], 'Put a fuse of 1 A behind it']]];
        yield 'on wire that bears none' => ['fuse-missing', $fed('lead-12v', ['cableM' => 1.0, 'cableMm2' => 0.24], 'servo-small'), [[['fuse_a' => null], null]]];

        // A supply of more than 8 A is none of limited power (IEC 62368-1 annex Q, from memory); 1.5 mm² bear 16 A, 0.75 six.
        yield 'a supply of eight amperes' => ['fuse-missing', $fed('bench', ['limitMa' => 8_000], 'servo-small'), []];
        yield 'of more' => ['fuse-missing', $fed('bench', ['limitMa' => 8_001], 'servo-small'), [[['fuse_a' => 1.0], 'Put a fuse of 1 A behind it']]];
        yield 'on wire that bears all it gives' => ['fuse-missing', $fed('bench', ['limitMa' => 16_000, 'cableM' => 1.0, 'cableMm2' => 1.5], 'servo-small'), []];
        yield 'on wire that does not' => ['fuse-missing', $fed('bench', ['limitMa' => 16_000, 'cableM' => 1.0, 'cableMm2' => 0.75], 'servo-small'), [[['fuse_a' => 1.0], 'Put a fuse of 1 A behind it']]];
        yield 'behind one' => ['fuse-missing', $fed('bench', ['limitMa' => 16_000, 'fuseA' => 1.0], 'servo-small'), []];

        // 4.9 V at the least and 0.5 A: from 5 Ω on less than 2.4 V are left.
        $sags = static fn (float $ohms): Closure => static fn (Sketch $s): Sketch => $on($s, 'wifi-3v3-26io')->supply('s', 'n', 'bench', 'Feed', null, FeedsAt::FiveVolt, ['sourceOhm' => $ohms]);
        yield 'a board behind 5 Ω' => ['board-browns-out', $sags(5.0), []];
        yield 'behind a hair more' => ['board-browns-out', $sags(5.01), [[['left_v' => 2.395, 'least_v' => 2.4], null]]];

        $sleeps = static fn (string $class): Closure => static fn (Sketch $s): Sketch => $on($s)->sleeping('n')->supply('p', 'n', 'alkaline-4', 'Cells')->supply('s', 'n', $class, 'Regulator', 'p')->module('m', 'n', 'packet-radio-plain', 'Part', 's');
        yield 'a regulator that takes six milliamperes' => ['regulator-drains', $sleeps('linear-5v'), [[['quiescent_ma' => 6.0], null]]];
        yield 'a buck that takes one' => ['regulator-drains', $sleeps('buck'), []];
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
