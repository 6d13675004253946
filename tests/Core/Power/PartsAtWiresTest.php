<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\View\NodeLevelsView;
use Rundfunk\View\Shown\LevelRow;
use Tests\Core\CoreTestCase;

/** A row a part that somebody put into a wire, and what is said of it. Worked by hand; what ends bear and how quick they must be: common practice, and data sheets from memory. */
final class PartsAtWiresTest extends CoreTestCase
{
    private const RULES = ['pull-too-strong', 'edge-too-slow', 'part-out-of-place', 'part-starves', 'contact-unheard', 'pin-overdrawn', 'level-too-high', 'level-too-low', 'low-too-high', 'relay-holds', 'pull-up-missing', 'series-missing'];

    /** @return iterable<string, array{Closure(Sketch): Sketch, array<string, string>}> plan, titles by rule */
    public static function cases(): iterable
    {
        $wired = static fn (string $board, string $class, FedFrom|string|null $supply, string $terminal, string $pin): Closure => static fn (Sketch $s): Sketch => $s
            ->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $supply)->wire('m', $terminal, $pin);
        $with = static fn (Closure $sketch, string $terminal, PartKind $kind, ?float $ohms = null, ?float $lower = null, ?float $uf = null): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, ['ohms' => $ohms, 'lowerOhms' => $lower, 'microfarads' => $uf]);

        // A sensor on one wire: 3.3 V / 4.7 kΩ = 0.7 mA; / 820 Ω = 4.02; / 0.5 Ω = 6.6 A.
        $sensor = $wired('wifi-3v3-26io', 'sensor-temperature', FedFrom::Board3V3, 'DATA', 'IO4');
        $pulled = static fn (float $ohms): Closure => $with($sensor, 'DATA', PartKind::PullUp, $ohms);
        yield 'the pull-up it wants' => [$pulled(4_700.0), []];
        yield 'one that it can just pull low' => [$pulled(825.0), []];
        yield 'one that it can not' => [$pulled(820.0), ['pull-too-strong' => 'The pull-up resistor at Part DATA of N asks for 4.02 mA']];
        yield 'next to a wire' => [$pulled(0.5), ['pull-too-strong' => 'The pull-up resistor at Part DATA of N asks for 6600 mA']];
        // 50 pF: 1 µs is 20 kΩ.
        yield 'one that is quick enough' => [$pulled(20_000.0), []];
        yield 'one that is not' => [$pulled(22_000.0), ['edge-too-slow' => 'The edges of Part DATA of N take 1.1 µs']];
        yield 'two of the right size, side by side' => [$with($pulled(9_400.0), 'DATA', PartKind::Capacitor), []];
        yield 'a low behind a resistor' => [$with($pulled(4_700.0), 'DATA', PartKind::SeriesResistor, 2_200.0), ['part-out-of-place' => 'Resistor in series in the wrong place: Part DATA of N']];
        yield 'a small one in the wire' => [$with($pulled(4_700.0), 'DATA', PartKind::SeriesResistor, 100.0), []];
        yield 'held high and pulled low at once' => [$with($pulled(4_700.0), 'DATA', PartKind::PullDown, 10_000.0), ['part-out-of-place' => 'Pull-down resistor in the wrong place: Part DATA of N']];
        yield 'divided one way, lost the other' => [$with($pulled(4_700.0), 'DATA', PartKind::Divider, 1_000.0, 2_000.0), ['part-out-of-place' => 'Divider in the wrong place: Part DATA of N']];
        yield 'a transistor against the stream' => [$with($pulled(4_700.0), 'DATA', PartKind::Driver, 10_000.0), ['part-out-of-place' => 'NPN transistor in the wrong place: Part DATA of N']];

        // A key: 3.3 V / 66 Ω = 50 mA. In the pin are about 35 kΩ: 8.2 kΩ in the wire leave 0.63 V of 3.3, 15 kΩ 0.99, and low is up to 0.83.
        $key = $wired('wifi-3v3-26io', 'button-pad-1', null, 'K1', 'IO25');
        yield 'a key that bears its pull-up' => [$with($key, 'K1', PartKind::PullUp, 66.0), []];
        yield 'a key that burns' => [$with($key, 'K1', PartKind::PullUp, 65.0), ['pull-too-strong' => 'The pull-up resistor at Part K1 of N asks for 50.8 mA']];
        yield 'a key behind a resistor' => [$with($key, 'K1', PartKind::SeriesResistor, 8_200.0), []];
        yield 'a key that nobody hears pressed' => [$with($key, 'K1', PartKind::SeriesResistor, 15_000.0), ['contact-unheard' => 'IO25 of N does not hear Part K1']];
        yield 'a key that nobody hears let go' => [$with($key, 'K1', PartKind::PullDown, 10_000.0), ['contact-unheard' => 'IO25 of N does not hear Part K1']];
        yield 'a key with a capacitor against bouncing' => [$with($key, 'K1', PartKind::Capacitor, null, null, 0.1), []];
        yield 'a key with the wrong one' => [$with($key, 'K1', PartKind::Capacitor, null, null, 470.0), ['edge-too-slow' => 'The edges of Part K1 of N take 16.5 s']];

        // A gate of 1.5 nF: 10 µs is 6.67 kΩ; a tenth of the hundred that it wants is none.
        $gate = static fn (Sketch $s): Sketch => $wired('wifi-3v3-26io', 'transistor-2v5', null, 'GATE', 'IO25')($s)->output('o', 'n', 'Pump', OutputKind::Pwm, 'm', 'GATE');
        yield 'the resistor before a gate' => [$with($gate, 'GATE', PartKind::SeriesResistor, 100.0), []];
        yield 'a large one' => [$with($gate, 'GATE', PartKind::SeriesResistor, 6_600.0), []];
        yield 'a larger one' => [$with($gate, 'GATE', PartKind::SeriesResistor, 6_800.0), ['edge-too-slow' => 'The edges of Part GATE of N take 10.2 µs']];
        yield 'as good as none' => [$with($gate, 'GATE', PartKind::SeriesResistor, 10.0), ['series-missing' => 'Part GATE of N hangs on its pin without a resistor']];
        // 100 kΩ in the wire and 10 kΩ down leave an eleventh of a high.
        yield 'a high that a pull-down eats' => [$with($with($gate, 'GATE', PartKind::SeriesResistor, 5_600.0), 'GATE', PartKind::PullDown, 1_000.0), ['level-too-low' => 'A high of 0.485 V from N is below the 2.5 V that Part GATE takes for one']];
        yield 'a transistor before a gate that nothing pulls up' => [$with($with($gate, 'GATE', PartKind::SeriesResistor, 100.0), 'GATE', PartKind::Driver, 10_000.0), ['part-out-of-place' => 'NPN transistor in the wrong place: Part GATE of N']];

        // A buzzer of 30 mA by a transistor: (2.64 - 0.7) V / 1.8 kΩ = 1.08 mA, and a thirtieth is 1; 2 kΩ give 0.97.
        $buzz = static fn (Sketch $s): Sketch => $wired('wifi-3v3-26io', 'buzzer', null, 'SIG', 'IO25')($s)->output('o', 'n', 'Beep', OutputKind::Tone, 'm', 'SIG');
        yield 'a base that gets enough' => [$with($buzz, 'SIG', PartKind::Driver, 1_800.0), []];
        yield 'a base that does not' => [$with($buzz, 'SIG', PartKind::Driver, 2_000.0), ['part-starves' => 'The base of the transistor at Part SIG of N gets 0.97 mA']];
        // A lamp of 1 kΩ: two more leave a third of it.
        $lamp = static fn (Sketch $s): Sketch => $wired('wifi-3v3-26io', 'indicator-lamp', null, 'LED', 'IO25')($s)->output('o', 'n', 'Lamp', OutputKind::Lamp, 'm', 'LED');
        yield 'a lamp that is dim' => [$with($lamp, 'LED', PartKind::SeriesResistor, 2_000.0), []];
        yield 'a lamp that is dark' => [$with($lamp, 'LED', PartKind::SeriesResistor, 2_200.0), ['part-starves' => 'Part LED of N gets 0.438 mA of the 1.4 that it lives on']];
        yield 'nothing to be divided' => [$with($lamp, 'LED', PartKind::Divider, 100.0, 10_000.0), ['part-out-of-place' => 'Divider in the wrong place: Part LED of N']];

        // A voltage between: a converter's sampling capacitor is full in time behind 10 kΩ.
        $soil = $wired('wifi-3v3-26io', 'sensor-soil', FedFrom::Board3V3, 'OUT', 'IO34');
        yield 'a voltage behind 10 kΩ' => [$with($soil, 'OUT', PartKind::SeriesResistor, 10_000.0), []];
        yield 'a voltage behind more' => [$with($soil, 'OUT', PartKind::SeriesResistor, 11_000.0), ['edge-too-slow' => 'Part OUT of N hangs behind 11 kΩ']];
        yield 'a voltage made smooth' => [$with($with($soil, 'OUT', PartKind::SeriesResistor, 10_000.0), 'OUT', PartKind::Capacitor, null, null, 10.0), []];
        yield 'a voltage made slow' => [$with($with($soil, 'OUT', PartKind::SeriesResistor, 10_000.0), 'OUT', PartKind::Capacitor, null, null, 100.0), ['edge-too-slow' => 'The edges of Part OUT of N take 1 s']];
        yield 'a voltage by a shifter' => [$with($soil, 'OUT', PartKind::Shifter), ['part-out-of-place' => 'Level shifter in the wrong place: Part OUT of N']];

        // What a three-pin infrared receiver holds high it holds by 30 kΩ: a divider of 1k and 2k leaves 0.3 V of it.
        $eye = $wired('wifi-3v3-26io', 'infrared-receiver', FedFrom::Board5V, 'OUT', 'IO25');
        yield 'an eye by the divider of all others' => [$with($eye, 'OUT', PartKind::Divider, 1_000.0, 2_000.0), ['level-too-low' => 'A high of 0.297 V from Part OUT is below the 2.48 V that N takes for one']];
        yield 'an eye by one that it can lift' => [$with($eye, 'OUT', PartKind::Divider, 1_000.0, 56_000.0), []];
        yield 'an eye that is pulled down' => [$with($wired('wifi-3v3-26io', 'infrared-receiver', FedFrom::Board3V3, 'OUT', 'IO25'), 'OUT', PartKind::PullDown, 10_000.0), ['level-too-low' => 'A high of 0.8 V from Part OUT is below the 2.48 V that N takes for one']];

        // Five volts through ten kilohms into a pin that stands 3.6, each time it is let go.
        yield 'a pin pulled above what it stands' => [$with($wired('wifi-3v3-26io', 'relay-bank-1-high', FedFrom::Board5V, 'IN1', 'IO25'), 'IN1', PartKind::PullUp, 10_000.0), ['part-out-of-place' => 'Pull-up resistor in the wrong place: Part IN1 of N']];
        // A clock of 8 MHz: 20 ns are 400 Ω.
        $radio = $wired('wifi-3v3-26io', 'packet-radio-plain', FedFrom::Board3V3, 'SCK', 'IO18');
        yield 'a clock behind 390 Ω' => [$with($radio, 'SCK', PartKind::SeriesResistor, 390.0), []];
        yield 'a clock behind 430 Ω' => [$with($radio, 'SCK', PartKind::SeriesResistor, 430.0), ['edge-too-slow' => 'The edges of Part SCK of N take 21.5 ns']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  array<string, string>  $titles
     */
    #[DataProvider('cases')]
    public function test_a_part_is_judged_by_what_it_does_to_its_wire(Closure $draw, array $titles): void
    {
        $plan = $draw(self::sketch())->plan();
        $said = [];
        foreach (self::RULES as $rule) {
            foreach (self::found($plan, $rule) as $finding) {
                $said[$rule] = $finding->title;
                self::assertNotNull($finding->fix);
                $after = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                foreach (self::RULES as $any) {
                    self::assertSame([], self::found($after, $any), "\"{$finding->fix->label}\" leaves {$any}");
                }
            }
        }
        self::assertSame($titles, $said);
        $assigned = self::assigner()->assign($plan)->plan;
        foreach (self::RULES as $rule) {
            self::assertSame([], self::found($assigned, $rule), "Assign leaves {$rule}");
        }
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, string, string}> plan, what is offered, what the levels say of the wire */
    public static function offers(): iterable
    {
        $on = static fn (string $board, string $class, ?FedFrom $fed, string $terminal, string $pin, ?OutputKind $kind = null): Closure => static fn (Sketch $s): Sketch => ($kind === null ? $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $fed) : $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $fed)->output('o', 'n', 'O', $kind, 'm', $terminal))->wire('m', $terminal, $pin);
        $at = static fn (Closure $sketch, string $terminal, PartKind $kind, array $values): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, $values);
        $sensor = $on('wifi-3v3-26io', 'sensor-temperature', FedFrom::Board3V3, 'DATA', 'IO4');
        $gate = $on('wifi-3v3-26io', 'transistor-2v5', null, 'GATE', 'IO25', OutputKind::Pwm);
        $buzz = $on('wifi-3v3-26io', 'buzzer', null, 'SIG', 'IO25', OutputKind::Tone);
        $lamp = $on('wifi-3v3-26io', 'indicator-lamp', null, 'LED', 'IO25', OutputKind::Lamp);
        $key = $on('wifi-3v3-26io', 'button-pad-1', null, 'K1', 'IO25');
        $display = $on('wifi-3v3-26io', 'display-i2c', FedFrom::Board3V3, 'SDA', 'IO21');

        yield 'a pull-up gets the value that is wanted' => [$at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 100.0]), 'Put there: pull-up resistor 4.7 kΩ', 'the pull-up resistor asks for too much'];
        yield 'the one at a key what is usual' => [$at($key, 'K1', PartKind::PullUp, ['ohms' => 10.0]), 'Put there: pull-up resistor 10 kΩ', 'the pull-up resistor asks for too much'];
        yield 'one that a module brings itself goes' => [$at($display, 'SDA', PartKind::PullUp, ['ohms' => 1_000.0]), 'Take out the pull-up resistor', 'the pull-up resistor asks for too much'];
        yield 'a base gets enough' => [$at($buzz, 'SIG', PartKind::Driver, ['ohms' => 10_000.0]), 'Put there: NPN transistor 910 Ω', 'the NPN transistor lets too little through'];
        yield 'what leaves a lamp dark goes' => [$at($lamp, 'LED', PartKind::SeriesResistor, ['ohms' => 10_000.0]), 'Take out the resistor in series', 'the resistor in series lets too little through'];
        yield 'before a gate the usual' => [$at($gate, 'GATE', PartKind::SeriesResistor, ['ohms' => 47_000.0]), 'Put there: resistor in series 100 Ω', 'the resistor in series makes it too slow'];
        yield 'a capacitor goes, what is wanted comes' => [$at($gate, 'GATE', PartKind::Capacitor, ['microfarads' => 10.0]), 'Put there: resistor in series 100 Ω in place of the capacitor', 'the capacitor makes it too slow'];
        yield 'what keeps a key from being heard goes' => [$at($key, 'K1', PartKind::SeriesResistor, ['ohms' => 33_000.0]), 'Take out the resistor in series', 'the resistor in series keeps it from being heard'];
        yield 'what goes one way goes' => [$at($at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]), 'DATA', PartKind::Driver, ['ohms' => 1_000.0]), 'Take out the NPN transistor', 'the NPN transistor is out of place'];
        yield 'a pull that a weak high does not lift' => [$at($on('wifi-3v3-26io', 'infrared-receiver', FedFrom::Board3V3, 'OUT', 'IO25'), 'OUT', PartKind::PullDown, ['ohms' => 4_700.0]), 'Take out the pull-down resistor', 'the pull-down resistor spoils its levels'];
    }

    /** @param  Closure(Sketch): Sketch  $draw */
    #[DataProvider('offers')]
    public function test_one_press_puts_a_wire_right_and_the_levels_say_what_is_wrong(Closure $draw, string $label, string $words): void
    {
        $sketch = self::sketch();
        $plan = $draw($sketch)->plan();
        $labels = [];
        foreach (self::RULES as $rule) {
            foreach (self::found($plan, $rule) as $finding) {
                $labels[] = $finding->fix?->label;
            }
        }
        self::assertContains($label, $labels);
        $levels = (new NodeLevelsView)->of($sketch->id('n'), $plan, self::knowledge()->of($plan));
        $wire = array_values(array_filter($levels->wires ?? [], static fn (LevelRow $row): bool => $row->arrives === $words));
        self::assertCount(1, $wire);
        self::assertFalse($wire[0]->sound);
    }

    /** @return iterable<string, array{string, PartKind, array<string, float>, string, string, string, Severity, array<string, float|int|null>}> class, part, its values, terminal, pin, rule, how grave, figures */
    public static function figures(): iterable
    {
        yield 'it can not pull that low' => ['sensor-temperature', PartKind::PullUp, ['ohms' => 166.0], 'DATA', 'IO4', 'pull-too-strong', Severity::Warning, ['asks_ma' => 19.88, 'most_ma' => 4.0]];
        yield 'and that burns it' => ['sensor-temperature', PartKind::PullUp, ['ohms' => 164.0], 'DATA', 'IO4', 'pull-too-strong', Severity::Fault, ['asks_ma' => 20.122, 'most_ma' => 4.0]];
        yield 'a key bears fifty' => ['button-pad-1', PartKind::PullUp, ['ohms' => 65.0], 'K1', 'IO25', 'pull-too-strong', Severity::Fault, ['asks_ma' => 50.769, 'most_ma' => 50.0]];
        yield 'pressed it is no low' => ['button-pad-1', PartKind::SeriesResistor, ['ohms' => 15_000.0], 'K1', 'IO25', 'contact-unheard', Severity::Fault, ['open_v' => 3.3, 'closed_v' => 0.99, 'high_v' => 2.48, 'low_v' => 0.83]];
        yield 'let go it is no high' => ['button-pad-1', PartKind::PullDown, ['ohms' => 35_000.0], 'K1', 'IO25', 'contact-unheard', Severity::Fault, ['open_v' => 1.65, 'closed_v' => 0.0, 'high_v' => 2.48, 'low_v' => 0.83]];
        // Odd ones, for the digits: 3.3 V · 14,321 / 49,321, 34,000 / 69,000; a lamp of 1 kΩ behind 2345 more; (2.64 - 0.7) V through 2222 Ω.
        yield 'pressed it is a little too high' => ['button-pad-1', PartKind::SeriesResistor, ['ohms' => 14_321.0], 'K1', 'IO25', 'contact-unheard', Severity::Fault, ['open_v' => 3.3, 'closed_v' => 0.958, 'high_v' => 2.48, 'low_v' => 0.83]];
        yield 'let go it is much too low' => ['button-pad-1', PartKind::PullDown, ['ohms' => 34_000.0], 'K1', 'IO25', 'contact-unheard', Severity::Fault, ['open_v' => 1.626, 'closed_v' => 0.0, 'high_v' => 2.48, 'low_v' => 0.83]];
        yield 'a lamp behind more' => ['indicator-lamp', PartKind::SeriesResistor, ['ohms' => 2_345.0], 'LED', 'IO25', 'part-starves', Severity::Fault, ['gets_ma' => 0.4185, 'wants_ma' => 1.4]];
        yield 'a base of less' => ['buzzer', PartKind::Driver, ['ohms' => 2_222.0], 'SIG', 'IO25', 'part-starves', Severity::Fault, ['gets_ma' => 0.8731, 'wants_ma' => 30.0]];
        yield 'a base of a third' => ['buzzer', PartKind::Driver, ['ohms' => 2_000.0], 'SIG', 'IO25', 'part-starves', Severity::Fault, ['gets_ma' => 0.97, 'wants_ma' => 30.0]];
        yield 'less than a third of a lamp' => ['indicator-lamp', PartKind::SeriesResistor, ['ohms' => 2_200.0], 'LED', 'IO25', 'part-starves', Severity::Fault, ['gets_ma' => 0.4375, 'wants_ma' => 1.4]];
        // τ of 6.8 kΩ and 1.5 nF, of 20.1 and of 19.9 kΩ: three times too slow is lost.
        yield 'a gate that is slow' => ['transistor-2v5', PartKind::SeriesResistor, ['ohms' => 19_900.0], 'GATE', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 19_900.0, 'seconds' => 2.985e-5, 'most_ohms' => 100_000.0, 'most_seconds' => 1e-5]];
        yield 'a gate that never opens' => ['transistor-2v5', PartKind::SeriesResistor, ['ohms' => 20_100.0], 'GATE', 'IO25', 'edge-too-slow', Severity::Fault, ['ohms' => 20_100.0, 'seconds' => 3.015e-5, 'most_ohms' => 100_000.0, 'most_seconds' => 1e-5]];
        yield 'a clock' => ['packet-radio-plain', PartKind::SeriesResistor, ['ohms' => 430.0], 'SCK', 'IO18', 'edge-too-slow', Severity::Warning, ['ohms' => 430.0, 'seconds' => 2.15e-8, 'most_ohms' => 100_000.0, 'most_seconds' => 2e-8]];
        yield 'an I²C line' => ['display-i2c', PartKind::SeriesResistor, ['ohms' => 2_700.0], 'SDA', 'IO21', 'edge-too-slow', Severity::Warning, ['ohms' => 2_700.0, 'seconds' => 1.35e-7, 'most_ohms' => 100_000.0, 'most_seconds' => 1.3e-7]];
        yield 'a serial line' => ['modem-lte-eu', PartKind::SeriesResistor, ['ohms' => 22_000.0], 'RXD', 'IO17', 'edge-too-slow', Severity::Warning, ['ohms' => 22_000.0, 'seconds' => 1.1e-6, 'most_ohms' => 100_000.0, 'most_seconds' => 1e-6]];
        yield 'a servo' => ['servo-small', PartKind::SeriesResistor, ['ohms' => 102_000.0], 'SIG', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 102_000.0, 'seconds' => 5.1e-6, 'most_ohms' => 100_000.0, 'most_seconds' => 5e-6]];
        yield 'a voltage' => ['sensor-soil', PartKind::SeriesResistor, ['ohms' => 11_000.0], 'OUT', 'IO34', 'edge-too-slow', Severity::Warning, ['ohms' => 11_000.0, 'seconds' => 5.5e-7, 'most_ohms' => 10_000.0, 'most_seconds' => 0.5]];
        yield 'a plain signal by its capacitor' => ['relay-bank-1-high', PartKind::Capacitor, ['microfarads' => 4.7], 'IN1', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 0.0, 'seconds' => 30.0 * (4.7e-6 + 50e-12), 'most_ohms' => 100_000.0, 'most_seconds' => 1e-4]];
        yield 'a CAN line' => ['can-transceiver-3v3', PartKind::SeriesResistor, ['ohms' => 1_020.0], 'TXD', 'IO5', 'edge-too-slow', Severity::Warning, ['ohms' => 1_020.0, 'seconds' => 5.1e-8, 'most_ohms' => 100_000.0, 'most_seconds' => 5e-8]];
        yield 'pixels' => ['strip-pixels', PartKind::SeriesResistor, ['ohms' => 2_100.0], 'DIN', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 2_100.0, 'seconds' => 1.05e-7, 'most_ohms' => 100_000.0, 'most_seconds' => 1e-7]];
        yield 'a carrier' => ['infrared-emitter', PartKind::SeriesResistor, ['ohms' => 62_000.0], 'IN', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 62_000.0, 'seconds' => 3.1e-6, 'most_ohms' => 100_000.0, 'most_seconds' => 3e-6]];
        yield 'a tone' => ['buzzer-driven', PartKind::Capacitor, ['microfarads' => 2.2], 'SIG', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 0.0, 'seconds' => 30.0 * (2.2e-6 + 50e-12), 'most_ohms' => 100_000.0, 'most_seconds' => 5e-5]];
        // The resistor in the pin, 35 kΩ, is what loads it.
        yield 'a key' => ['button-pad-1', PartKind::Capacitor, ['microfarads' => 1.5], 'K1', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 35_000.0, 'seconds' => 35_000 * (1.5e-6 + 50e-12), 'most_ohms' => 100_000.0, 'most_seconds' => 0.05]];
        // No pull-up in that pin: the one that was put there, and what stands in the wire besides.
        yield 'a key on a pin that holds nothing' => ['button-pad-1', PartKind::PullUp, ['ohms' => 150_000.0], 'K1', 'IO34', 'edge-too-slow', Severity::Warning, ['ohms' => 150_000.0, 'seconds' => 7.5e-6, 'most_ohms' => 100_000.0, 'most_seconds' => 0.05]];
        yield 'a receiver by its own resistor and a capacitor' => ['infrared-receiver', PartKind::Capacitor, ['microfarads' => 0.0022], 'OUT', 'IO25', 'edge-too-slow', Severity::Warning, ['ohms' => 30_000.0, 'seconds' => 30_000 * (2.2e-9 + 50e-12), 'most_ohms' => 100_000.0, 'most_seconds' => 3.5e-5]];
    }

    /**
     * @param  array<string, float>  $values
     * @param  array<string, float|int|null>  $numbers
     */
    #[DataProvider('figures')]
    public function test_the_figures_are_those_of_the_circuit(string $class, PartKind $kind, array $values, string $terminal, string $pin, string $rule, Severity $severity, array $numbers): void
    {
        $fed = self::knowledge()->catalogue->modules[$class]->isFed() ? ($class === 'relay-bank-1-high' || $class === 'strip-pixels' ? FedFrom::Board5V : FedFrom::Board3V3) : null;
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', $class, 'Part', $fed)->wire('m', $terminal, $pin)->part('m', $terminal, $kind, $values)->plan();
        [$finding] = self::found($plan, $rule);
        self::assertSame($severity, $finding->severity);
        self::assertEqualsWithDelta($numbers, $finding->numbers, 1e-9);
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, string, string, string, string|null}> plan, rule, what is said of it at length, what to do, and which of its parts are taken out or get another value, with that */
    public static function said(): iterable
    {
        $on = static fn (string $class, FedFrom|string|null $fed, string $terminal, string $pin, ?OutputKind $kind = null, string $board = 'wifi-3v3-26io'): Closure => static fn (Sketch $s): Sketch => ($kind === null ? $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $fed) : $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $fed)->output('o', 'n', 'O', $kind, 'm', $terminal))->wire('m', $terminal, $pin);
        $at = static fn (Closure $sketch, string $terminal, PartKind $kind, array $values = []): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, $values);
        $key = $on('button-pad-1', null, 'K1', 'IO25');
        $sensor = $on('sensor-temperature', FedFrom::Board3V3, 'DATA', 'IO4');
        $soil = $on('sensor-soil', FedFrom::Board3V3, 'OUT', 'IO34');
        $gate = $on('transistor-2v5', null, 'GATE', 'IO25', OutputKind::Pwm);

        yield 'a key' => [$at($key, 'K1', PartKind::PullUp, ['ohms' => 60.0]), 'pull-too-strong', 'A small key is made for 50 mA: with more its contacts wear, and the resistor gets hot.', 'A larger resistor.', 'pull-up resistor 10000'];
        yield 'an output' => [$at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 500.0]), 'pull-too-strong', 'Such an output bears 4 mA: with more its level goes, and then it does.', 'A larger resistor.', 'pull-up resistor 4700'];
        // 3.3 V over 150 and 300 Ω are 7.3 mA. No divider is wanted between 3.3 V and 3.3 V.
        yield 'a divider' => [$at($on('sensor-motion', FedFrom::Board5V, 'OUT', 'IO25'), 'OUT', PartKind::Divider, ['ohms' => 150.0, 'lowerOhms' => 300.0]), 'pull-too-strong', 'Such an output bears 4 mA: with more its level goes, and then it does.', 'Both resistors larger, in the same proportion.', 'divider out'];
        yield 'let go it is no high' => [$at($key, 'K1', PartKind::PullDown, ['ohms' => 35_000.0]), 'contact-unheard', 'Let go it stands at 1.65 V, and is high from 2.48 V on: it is read as pressed, or as now this and now that.', 'A contact to ground wants a pull-up, and at most a small resistor in its wire.', 'pull-down resistor out'];
        yield 'pressed it is no low' => [$at($key, 'K1', PartKind::SeriesResistor, ['ohms' => 15_000.0]), 'contact-unheard', 'Pressed it stands at 0.99 V, and is low up to 0.83 V: nobody notices that it is pressed.', 'A contact to ground wants a pull-up, and at most a small resistor in its wire.', 'resistor in series out'];
        yield 'a base' => [$at($on('buzzer', null, 'SIG', 'IO25', OutputKind::Tone), 'SIG', PartKind::Driver, ['ohms' => 20_000.0]), 'part-starves', 'It is to switch 30 mA: with so little it is half open, gets warm, and what it works does not.', 'A smaller resistor.', 'NPN transistor 910'];
        yield 'a lamp' => [$at($on('indicator-lamp', null, 'LED', 'IO25', OutputKind::Lamp), 'LED', PartKind::SeriesResistor, ['ohms' => 4_700.0]), 'part-starves', 'It lives on what comes by this wire, and the resistor in series lets too little through.', 'A smaller resistor.', 'resistor in series out'];
        yield 'a weakly held voltage' => [$at($soil, 'OUT', PartKind::SeriesResistor, ['ohms' => 47_000.0]), 'edge-too-slow', 'It should be 10 kΩ at most: behind more, what leaks makes a level of its own, and every wire beside it is heard.', 'A smaller resistor in series, or none.', 'resistor in series out'];
        yield 'a voltage made slow, and by what' => [$at($at($soil, 'OUT', PartKind::SeriesResistor, ['ohms' => 4_700.0]), 'OUT', PartKind::Capacitor, ['microfarads' => 1_000.0]), 'edge-too-slow', 'Its signal wants 500 ms: 4.7 kΩ and what they charge, wire and input or a capacitor, are a brake.', 'A smaller capacitor and a smaller resistor in series, or none.', 'capacitor out'];
        yield 'a gate made slow by one of two' => [$at($at($gate, 'GATE', PartKind::SeriesResistor, ['ohms' => 10_000.0]), 'GATE', PartKind::PullDown, ['ohms' => 470_000.0]), 'edge-too-slow', 'Its signal wants 10 µs: 10 kΩ and what they charge, wire and input or a capacitor, are a brake.', 'A smaller resistor in series, or none.', 'resistor in series 100'];
        yield 'a clock' => [$at($on('packet-radio-plain', FedFrom::Board3V3, 'SCK', 'IO18'), 'SCK', PartKind::SeriesResistor, ['ohms' => 1_000.0]), 'edge-too-slow', 'Its signal wants 20 ns: 1 kΩ and what they charge, wire and input or a capacitor, are a brake.', 'A smaller resistor in series, or none.', 'resistor in series out'];
        yield 'one way only' => [$at($sensor, 'DATA', PartKind::Driver, ['ohms' => 1_000.0]), 'part-out-of-place', 'A transistor goes one way and turns the signal over: what comes back by this wire, or is one of a bus, does not pass.', 'Take it out, or put it at the wire that it was meant for.', 'NPN transistor out, pull-up resistor 4700'];
        yield 'nothing lets go' => [$at($at($gate, 'GATE', PartKind::SeriesResistor, ['ohms' => 100.0]), 'GATE', PartKind::Driver, ['ohms' => 10_000.0]), 'part-out-of-place', 'It pulls the wire low and lets it go, and nothing pulls it high: the input never sees one.', 'Take it out, or put it at the wire that it was meant for.', 'NPN transistor out'];
        yield 'a line that goes both ways' => [$at($at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]), 'DATA', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0]), 'part-out-of-place', 'The line goes both ways: what is divided one way is lost the other.', 'Take it out, or put it at the wire that it was meant for.', 'divider out'];
        yield 'beside what makes it anew' => [$at($at($on('relay-bank-1-high', FedFrom::Board3V3, 'IN1', 'IO25'), 'IN1', PartKind::Shifter), 'IN1', PartKind::Divider, ['ohms' => 10_000.0, 'lowerOhms' => 20_000.0]), 'part-out-of-place', 'The levels are made anew beside it, and it takes from what is made.', 'Take it out, or put it at the wire that it was meant for.', 'divider out'];
        yield 'no level' => [$at($on('indicator-lamp', null, 'LED', 'IO25', OutputKind::Lamp), 'LED', PartKind::Divider, ['ohms' => 100.0, 'lowerOhms' => 100_000.0]), 'part-out-of-place', 'There is no level to be divided: what hangs there is pulled low, or lives on what comes by the wire.', 'Take it out, or put it at the wire that it was meant for.', 'divider out'];
        yield 'a voltage between' => [$at($soil, 'OUT', PartKind::Shifter), 'part-out-of-place', 'A shifter knows high and low: every voltage between them is lost.', 'Take it out, or put it at the wire that it was meant for.', 'level shifter out'];
        yield 'above what a pin stands' => [$at($on('relay-bank-1-high', FedFrom::Board5V, 'IN1', 'IO25'), 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]), 'part-out-of-place', 'It pulls a pin that is let go at every start to more volts than that stands.', 'Take it out, or put it at the wire that it was meant for.', 'pull-up resistor out'];
        yield 'against both' => [$at($at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]), 'DATA', PartKind::PullDown, ['ohms' => 100_000.0]), 'part-out-of-place', 'The line is held high by a resistor and pulled low by either end: this one works against both.', 'Take it out, or put it at the wire that it was meant for.', 'pull-down resistor out'];
        // Ten kilohms make a shifter's high: as many to ground leave half of it.
        yield 'against what makes a shifter\'s high' => [$at($at($at($on('transistor-4v5', null, 'GATE', 'IO25', OutputKind::Pwm), 'GATE', PartKind::SeriesResistor, ['ohms' => 100.0]), 'GATE', PartKind::Shifter), 'GATE', PartKind::PullDown, ['ohms' => 10_000.0]), 'part-out-of-place', 'A level shifter makes its high by a resistor: this one divides it.', 'Take it out, or put it at the wire that it was meant for.', 'pull-down resistor out'];
        yield 'a low that does not pass' => [$at($at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]), 'DATA', PartKind::SeriesResistor, ['ohms' => 1_500.0]), 'part-out-of-place', 'The line goes both ways and is held high behind it: a low of the board does not get through.', 'Take it out, or put it at the wire that it was meant for.', 'resistor in series out'];
    }

    /** @param  Closure(Sketch): Sketch  $draw */
    #[DataProvider('said')]
    public function test_what_is_said_names_the_harm_and_the_one_part_that_does_it(Closure $draw, string $rule, string $detail, string $remedy, ?string $then): void
    {
        $sketch = self::sketch();
        $plan = $draw($sketch)->plan();
        $findings = self::found($plan, $rule);
        self::assertCount(1, $findings);
        self::assertSame([$detail, $remedy], [$findings[0]->detail, $findings[0]->remedy]);
        self::assertSame(array_column($plan->pinUses(), 'id'), [$findings[0]->at->id], 'it is about the wire');
        $after = (new Editor(self::knowledge()))->apply($plan, $findings[0]->fix->operations ?? [])->plan;
        $changes = [];
        foreach ($plan->of(Part::class) as $part) {
            $now = array_column($after->of(Part::class), null, 'id')[$part->id] ?? null;
            if ($now?->values() !== $part->values()) {
                $changes[] = $part->kind->words().($now === null ? ' out' : " {$now->ohms}");
            }
        }
        foreach (array_diff_key(array_column($after->of(Part::class), null, 'id'), array_column($plan->of(Part::class), null, 'id')) as $new) {
            $changes[] = "{$new->kind->words()} {$new->ohms}";
        }
        self::assertSame($then, implode(', ', $changes));
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, PartKind}> plan, one of its parts that looks amiss and is not */
    public static function sound(): iterable
    {
        $on = static fn (string $class, FedFrom|string|null $fed, string $terminal, string $pin, string $board = 'wifi-3v3-26io'): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $fed)->wire('m', $terminal, $pin);
        $at = static fn (Closure $sketch, string $terminal, PartKind $kind, array $values = []): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, $values);
        yield 'a pull-up to five volts behind a shifter' => [$at($at($on('relay-bank-1-high', FedFrom::Board5V, 'IN1', 'IO25'), 'IN1', PartKind::Shifter), 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]), PartKind::PullUp];
        yield 'a pull-up to five volts at a transistor, which lets go' => [$at($at($on('relay-bank-1-high', FedFrom::Board5V, 'IN1', 'IO25'), 'IN1', PartKind::Driver, ['ohms' => 10_000.0]), 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]), PartKind::PullUp];
        yield 'a pull-up to five volts on a board of five' => [$at($on('relay-bank-1-high', FedFrom::Board5V, 'IN1', 'D5', '8bit-5v-20io'), 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]), PartKind::PullUp];
        yield 'a resistor that lets lows through' => [$at($at($on('sensor-temperature', FedFrom::Board3V3, 'DATA', 'IO4'), 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]), 'DATA', PartKind::SeriesResistor, ['ohms' => 1_000.0]), PartKind::SeriesResistor];
        yield 'a large pull-down beside a shifter' => [$at($at($on('transistor-4v5', null, 'GATE', 'IO25'), 'GATE', PartKind::Shifter), 'GATE', PartKind::PullDown, ['ohms' => 100_000.0]), PartKind::PullDown];
        yield 'a pull-down at what is driven' => [$at($on('relay-bank-1-high', FedFrom::Board3V3, 'IN1', 'IO25'), 'IN1', PartKind::PullDown, ['ohms' => 10_000.0]), PartKind::PullDown];
    }

    /** @param  Closure(Sketch): Sketch  $draw */
    #[DataProvider('sound')]
    public function test_what_is_in_its_place_is_left_there(Closure $draw, PartKind $kind): void
    {
        $plan = $draw(self::sketch())->plan();
        self::assertContains($kind, array_map(static fn (Part $part): PartKind => $part->kind, $plan->of(Part::class)));
        foreach (['pull-too-strong', 'edge-too-slow', 'part-out-of-place', 'part-starves', 'contact-unheard'] as $rule) {
            self::assertSame([], array_map(static fn (Finding $finding): string => $finding->title, self::found($plan, $rule)));
        }
    }

    public function test_what_is_put_right_stays_the_same_part(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', 'sensor-temperature', 'Part', FedFrom::Board3V3)->wire('m', 'DATA', 'IO4')
            ->part('m', 'DATA', PartKind::PullUp, ['ohms' => 0.5, 'owned' => true]);
        $plan = $sketch->plan();
        $fix = self::found($plan, 'pull-too-strong')[0]->fix;
        self::assertSame('Put there: pull-up resistor 4.7 kΩ', $fix?->label);
        $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
        self::assertSame([[$plan->of(Part::class)[0]->id, 4_700.0, true]], array_map(static fn (Part $part): array => [$part->id, $part->ohms, $part->owned], $after->of(Part::class)));
    }

    public function test_a_part_without_a_value_or_a_place_is_said(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'button-pad-1', 'Key')->control('k', 'n', 'K', ControlKind::Button, 'm', 'K1')
            ->part('m', 'COM', PartKind::Capacitor, ['microfarads' => 0.1])->part('m', 'K1', PartKind::PullUp)->part('m', 'K9', PartKind::PullDown, ['ohms' => 10_000.0]);
        $said = array_map(static fn (Finding $finding): array => [$finding->title, $finding->detail, $finding->remedy, $finding->at->field], self::found($sketch->plan(), 'part-unsaid'));
        self::assertEqualsCanonicalizing([
            ['The pull-up resistor at Key K1 of N has no value', 'Nobody can buy it, and whether the wire works with it cannot be told.', 'Say its value, or take it off.', 'ohms'],
            ['The pull-down resistor at K9 of Key on N hangs on nothing', 'push button has no terminal of that name.', 'Put it at a terminal that is there, or take it off.', 'terminal'],
        ], $said);
    }
}
