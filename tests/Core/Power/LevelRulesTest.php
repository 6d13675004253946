<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** A row a wire: what is at its ends and between, and what each rule about levels must say. Figures: data sheets of the classes, from memory. */
final class LevelRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $pins = ['8bit-5v-20io' => ['D4', 'D2'], '8bit-5v-70io' => ['D18', 'D19'], '32bit-3v3-26io' => ['GP0', 'GP1'], 'wifi-3v3-26io' => ['IO17', 'IO16'], 'wifi-3v3-11io' => ['IO4', 'IO5']];
        $wired = static fn (string $board, string $class, FedFrom|string $supply, string $terminal, bool $heard = false): Closure => static fn (Sketch $s): Sketch => $s
            ->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Part', $supply)->wire('m', $terminal, $pins[$board][$heard ? 1 : 0]);
        $between = static fn (Closure $sketch, PartKind $kind, array $values = [], string $terminal = 'RXD'): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, $values);
        $small = ['ohms' => 1000, 'lowerOhms' => 1200];
        $copied = ['ohms' => 1000, 'lowerOhms' => 2000];

        // The modem's input stands 3.1 V: 5 V through 1k and 1.2k is 2.73 V, through 1k and 2k 3.33 V; 3.3 V is too much as well.
        $modem = static fn (string $board): Closure => $wired($board, 'modem-2g', FedFrom::Own, 'RXD');
        yield 'five volts into a modem' => ['level-too-high', $modem('8bit-5v-70io'), ['5 V go into Part RXD, which stands 3.1']];
        yield 'five volts through 1k and 1.2k' => ['level-too-high', $between($modem('8bit-5v-70io'), PartKind::Divider, $small), []];
        yield 'five volts through the copied divider' => ['level-too-high', $between($modem('8bit-5v-70io'), PartKind::Divider, $copied), ['3.33 V go into Part RXD, which stands 3.1']];
        yield '3.3 V into a modem' => ['level-too-high', $modem('32bit-3v3-26io'), ['3.3 V go into Part RXD, which stands 3.1']];
        yield '3.3 V through the copied divider' => ['level-too-high', $between($modem('32bit-3v3-26io'), PartKind::Divider, $copied), []];
        yield 'a shifter' => ['level-too-high', $between($modem('8bit-5v-70io'), PartKind::Shifter), []];
        yield 'five volts through 1k and 1.2k are high' => ['level-too-low', $between($modem('8bit-5v-70io'), PartKind::Divider, $small), []];
        yield '3.3 V through 1k and 1.2k are not' => ['level-too-low', $between($modem('32bit-3v3-26io'), PartKind::Divider, $small), ['A high of 1.75 V from N is below the 2.1 V that Part RXD takes for one']];
        yield 'a carrier that shifts' => ['level-too-high', $wired('8bit-5v-70io', 'modem-lte-eu', FedFrom::Own, 'RXD'), []];

        // The way back: 2.8 V, 2.4 at the least, into a board that takes 3.0 for high, or 2.48, or 2.0.
        $back = static fn (string $board): Closure => $wired($board, 'modem-2g', FedFrom::Own, 'TXD', true);
        yield '2.4 V into a 5 V board' => ['level-too-low', $back('8bit-5v-70io'), ['A high of 2.4 V from Part TXD is below the 3 V that N takes for one']];
        yield '2.4 V into a Wi-Fi board' => ['level-too-low', $back('wifi-3v3-26io'), ['A high of 2.4 V from Part TXD is below the 2.48 V that N takes for one']];
        yield '2.4 V into a 32-bit board' => ['level-too-low', $back('32bit-3v3-26io'), []];
        yield 'shifted back' => ['level-too-low', $between($back('8bit-5v-70io'), PartKind::Shifter, [], 'TXD'), []];

        // E8: receivers give out what they are fed.
        yield 'a receiver on 5 V into a board of three' => ['level-too-high', $wired('wifi-3v3-11io', 'keyed-receiver', FedFrom::Board5V, 'DATA', true), ['5 V go into IO5 of N, which stands 3.6']];
        yield 'the same on 3.3 V' => ['level-too-high', $wired('wifi-3v3-11io', 'keyed-receiver', FedFrom::Board3V3, 'DATA', true), []];
        yield 'a receiver on 5 V into a board of five' => ['level-too-high', $wired('8bit-5v-20io', 'keyed-receiver', FedFrom::Board5V, 'DATA', true), []];
        yield 'an eye on 5 V into a board of three' => ['level-too-high', $wired('32bit-3v3-26io', 'infrared-receiver', FedFrom::Board5V, 'OUT', true), ['5 V go into GP1 of N, which stands 3.8']];
        yield 'an eye behind a divider' => ['level-too-high', $between($wired('32bit-3v3-26io', 'infrared-receiver', FedFrom::Board5V, 'OUT', true), PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 1800], 'OUT'), []];
        // Its high comes by 1.5 kΩ: 1k and 2k leave 2/4.5 of five volts, 2.22, and a Wi-Fi board wants 2.48.
        $diodes = static fn (string $board, FedFrom $supply): Closure => $wired($board, 'diode-or-8', $supply, 'RXD', true);
        yield 'diodes on 5 V into a board of three' => ['level-too-high', $diodes('wifi-3v3-26io', FedFrom::Board5V), ['5 V go into IO16 of N, which stands 3.6']];
        yield 'diodes on 3.3 V' => ['level-too-high', $diodes('wifi-3v3-26io', FedFrom::Board3V3), []];
        yield 'diodes on 5 V into a board of five' => ['level-too-high', $diodes('8bit-5v-70io', FedFrom::Board5V), []];
        yield 'a high by a resistor, halved once more' => ['level-too-low', $between($diodes('wifi-3v3-26io', FedFrom::Board5V), PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 2000]), ['A high of 2.18 V from Part RXD is below the 2.48 V that N takes for one']];
        yield 'a radio stands five volts at its inputs' => ['level-too-high', $wired('8bit-5v-20io', 'packet-radio-plain', FedFrom::Board3V3, 'CE'), []];
        yield 'a radio is heard by a board of five' => ['level-too-low', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'packet-radio-plain', 'Part', FedFrom::Board3V3)->wire('m', 'MISO', 'D12'), []];

        // 5 − 3.2 = 1.8 V across the input of a low-trigger board: its LED alone goes out below 1.2, with an indicator in series below 3.
        yield 'a low-trigger relay on a board of three' => ['relay-holds', $wired('32bit-3v3-26io', 'relay-bank-1-low', FedFrom::Board5V, 'IN1'), ['Part IN1 may never let go: a high of N leaves 1.8 V across it']];
        yield 'on a board of five' => ['relay-holds', $wired('8bit-5v-20io', 'relay-bank-1-low', FedFrom::Board5V, 'IN1'), []];
        yield 'a high-trigger relay on a board of three' => ['relay-holds', $wired('32bit-3v3-26io', 'relay-bank-1-high', FedFrom::Board5V, 'IN1'), []];
        yield 'behind a transistor' => ['relay-holds', $between($wired('32bit-3v3-26io', 'relay-bank-1-low', FedFrom::Board5V, 'IN1'), PartKind::Driver, ['ohms' => 4700], 'IN1'), []];

        // A strip takes 0.7 of its supply for high, 3.5 V of five: more than a board of three gives. Behind it 390 Ω and 1000 µF (common practice).
        $strip = static fn (string $board, string $pin): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', 'strip-pixels', 'Strip', FedFrom::Own)->output('o', 'n', 'Stairs', OutputKind::Strip, 'm', 'DIN')->wire('m', 'DIN', $pin);
        yield 'a strip on a board of three' => ['level-too-low', $strip('wifi-3v3-26io', 'IO25'), ['A high of 3.2 V from N is below the 3.5 V that Strip DIN takes for one']];
        yield 'a strip behind a shifter' => ['level-too-low', $between($strip('wifi-3v3-26io', 'IO25'), PartKind::Shifter, [], 'DIN'), []];
        yield 'a strip on a board of five' => ['level-too-low', $strip('8bit-5v-20io', 'D6'), []];
        yield 'a strip without its resistor' => ['series-missing', $strip('8bit-5v-20io', 'D6'), ['Strip DIN of N hangs on its pin without a resistor']];
        yield 'a strip with it' => ['series-missing', $between($strip('8bit-5v-20io', 'D6'), PartKind::SeriesResistor, ['ohms' => 390], 'DIN'), []];
        yield 'a strip without its capacitor' => ['buffer-missing', $strip('8bit-5v-20io', 'D6'), ['Nothing takes the jumps of what Strip draws']];
        yield 'a strip with one' => ['buffer-missing', $between($strip('8bit-5v-20io', 'D6'), PartKind::Capacitor, ['microfarads' => 470], '5V'), []];
        yield 'a strip with one that is too small' => ['buffer-missing', $between($strip('8bit-5v-20io', 'D6'), PartKind::Capacitor, ['microfarads' => 100], '5V'), ['Nothing takes the jumps of what Strip draws']];

        // A MOSFET is on from the voltage at which its sheet states the resistance: 2.5 V for a board of three, 4.5 for one of five.
        $gate = static fn (string $board, string $class, string $pin): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', $class, 'Switch')->output('o', 'n', 'Fan', OutputKind::Pwm, 'm', 'GATE')->wire('m', 'GATE', $pin);
        yield 'a gate of 4.5 V on a board of three' => ['level-too-low', $gate('wifi-3v3-26io', 'transistor-4v5', 'IO25'), ['A high of 3.2 V from N is below the 4.5 V that Switch GATE takes for one']];
        yield 'a gate of 2.5 V on a board of three' => ['level-too-low', $gate('wifi-3v3-26io', 'transistor-2v5', 'IO25'), []];
        yield 'a gate of 4.5 V on a board of five' => ['level-too-low', $gate('8bit-5v-20io', 'transistor-4v5', 'D3'), []];

        // 30 mA: more than the 20 of one class, than the 12 of another, and than the 20 that the latter stands at all.
        $buzzer = static fn (string $board, string $pin): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', 'buzzer', 'Buzzer')->output('o', 'n', 'Beep', OutputKind::Tone, 'm', 'SIG')->wire('m', 'SIG', $pin);
        yield 'a buzzer on a pin of 20 mA' => ['pin-overdrawn', $buzzer('8bit-5v-20io', 'D4'), ['Buzzer takes 30 mA from D4 of N, which gives 20']];
        yield 'a buzzer on a pin of 12 mA' => ['pin-overdrawn', $buzzer('wifi-3v3-11io', 'IO4'), ['Buzzer takes 30 mA from IO4 of N, which gives 12']];
        // A resistor typed too small: (4.2 − 0.7) V through 10 Ω are 350 mA, 5 V through 100 Ω to the supply 50, more than the 20 of a pin.
        yield 'a base behind next to nothing' => ['pin-overdrawn', $between($buzzer('8bit-5v-20io', 'D4'), PartKind::Driver, ['ohms' => 10], 'SIG'), ['The NPN transistor at Buzzer SIG takes 350 mA from D4 of N, which gives 20']];
        yield 'a pull that is a heater' => ['pin-overdrawn', $between($wired('8bit-5v-20io', 'relay-bank-1-high', FedFrom::Board5V, 'IN1'), PartKind::PullDown, ['ohms' => 100], 'IN1'), ['The pull-down resistor at Part IN1 takes 49 mA from D4 of N, which gives 20']];
        yield 'a divider that is one' => ['pin-overdrawn', $between($modem('8bit-5v-70io'), PartKind::Divider, ['ohms' => 10, 'lowerOhms' => 12]), ['The divider at Part RXD takes 223 mA from D18 of N, which gives 20']];
        yield 'a divider of kilohms' => ['pin-overdrawn', $between($modem('8bit-5v-70io'), PartKind::Divider, $small), []];
        yield 'a buzzer behind a transistor' => ['pin-overdrawn', $between($buzzer('8bit-5v-20io', 'D4'), PartKind::Driver, ['ohms' => 1600], 'SIG'), []];

        // V_OL of a board is 0.1 V into CMOS inputs; a part that takes no more than 0.05 for low never hears one. Through a divider it does.
        $shy = static fn (float $lowV): Closure => static fn (Sketch $s): Sketch => $s->describe(ThingKind::OwnModule, 'shy', 'Shy', 'relay-bank-1-high', ['levels' => ['in' => ['highV' => 2.0, 'lowV' => $lowV, 'mostV' => 6.0]]])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', $s->classOf('shy'), 'Part', FedFrom::Board5V)->wire('m', 'IN1', 'D4');
        yield 'a low that is low enough' => ['low-too-high', $shy(0.1), []];
        yield 'a low that is not' => ['low-too-high', $shy(0.05), ['A low of 0.1 V from N is above the 0.05 V up to which Part IN1 takes one']];
        yield 'a low through a shifter' => ['low-too-high', $between($shy(0.05), PartKind::Shifter, [], 'IN1'), []];
        yield 'half a low' => ['low-too-high', $between($shy(0.05), PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 1000], 'IN1'), []];

        $key = static fn (string $board, string $pin): Closure => static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', 'button-pad-1', 'Key')->wire('m', 'K1', $pin);
        yield 'a key on a pin that holds it up' => ['pull-up-missing', $key('wifi-3v3-26io', 'IO25'), []];
        yield 'a key on a pin that does not' => ['pull-up-missing', $key('wifi-3v3-26io', 'IO34'), ['Nothing holds Key K1 of N high']];
        yield 'a key on the pin that can only pull down' => ['pull-up-missing', $key('wifi-3v3-11io', 'IO16'), ['Nothing holds Key K1 of N high']];
        yield 'a key with a resistor' => ['pull-up-missing', $between($key('wifi-3v3-26io', 'IO34'), PartKind::PullUp, ['ohms' => 10000], 'K1'), []];
        yield 'a one-wire sensor' => ['pull-up-missing', $wired('8bit-5v-20io', 'sensor-temperature', FedFrom::Board5V, 'DATA', true), ['Nothing holds Part DATA of N high']];
        yield 'a one-wire sensor with its resistor' => ['pull-up-missing', $between($wired('8bit-5v-20io', 'sensor-temperature', FedFrom::Board5V, 'DATA', true), PartKind::PullUp, ['ohms' => 4700], 'DATA'), []];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $draw, array $titles): void
    {
        $plan = $draw(self::sketch())->plan();
        $found = self::found($plan, $rule);
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, $found));
        foreach ($found as $finding) {
            self::assertNotNull($finding->fix);
            $after = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
            foreach (['level-too-high', 'level-too-low', 'relay-holds', 'pull-up-missing', 'pin-overdrawn'] as $any) {
                self::assertSame([], self::found($after, $any), "\"{$finding->fix->label}\" leaves {$any}");
            }
        }
    }

    public function test_what_no_base_current_of_a_pin_switches_gets_no_transistor(): void
    {
        // Two amperes want 2 A / 15 = 133 mA of base current.
        $sketch = self::sketch();
        $plan = $sketch->describe(ThingKind::OwnModule, 'loud', 'Loud', 'buzzer', ['terminals' => [['name' => 'SIG', 'needs' => 'digital-out', 'signal' => 'tone', 'drawsMa' => 2000.0, 'carries' => 'output', 'doc' => 'Loud.']]])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', $sketch->classOf('loud'), 'Horn')->output('o', 'n', 'Blow', OutputKind::Tone, 'm', 'SIG')->wire('m', 'SIG', 'D4')->plan();
        $found = self::found($plan, 'pin-overdrawn');
        self::assertSame(['Horn takes 2000 mA from D4 of N, which gives 20'], array_map(static fn (Finding $finding): string => $finding->title, $found));
        self::assertNull($found[0]->fix);
        self::assertSame([], self::assigner()->assign($plan)->plan->partsOf($plan->modules()[0]));
    }

    /** @return iterable<string, array{string, string, float, float}> board, divider's upper and lower */
    public static function dividers(): iterable
    {
        // Worked by hand: 5 V · 1.2 / 2.2 = 2.73 V; 3.3 V · 5.6 / 6.6 = 2.80 V; both between 2.1 and 3.1.
        yield 'from 5 V' => ['8bit-5v-70io', 'RXD', 1000.0, 1200.0];
        yield 'from 3.3 V' => ['32bit-3v3-26io', 'RXD', 1000.0, 5600.0];
    }

    #[DataProvider('dividers')]
    public function test_assign_puts_the_divider_there_that_suits_a_modem(string $board, string $terminal, float $upper, float $lower): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board)->module('m', 'n', 'modem-2g', 'Modem')->assigned();
        $found = array_values(array_filter($plan->partsOf($plan->modules()[0]), static fn ($part): bool => $part->terminal === $terminal));
        self::assertCount(1, $found);
        self::assertSame([$upper, $lower], [$found[0]->ohms, $found[0]->lowerOhms]);
    }

    public function test_a_transistor_turns_the_relay_s_level_over_on_the_sheet_and_in_the_header_alike(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')
            ->module('m', 'n', 'relay-bank-2-low', 'Relays', FedFrom::Board5V)
            ->output('o', 'n', 'Lamp', channel: 'IN1', module: 'm')->output('p', 'n', 'Fan', channel: 'IN2', module: 'm')
            ->wire('m', 'IN1', 'GP2')->wire('m', 'IN2', 'GP3')
            ->part('m', 'IN1', PartKind::Driver, ['ohms' => 4700]);
        $plan = $sketch->plan();
        $node = $plan->node($sketch->id('n'));
        $levels = [];
        foreach (\Rundfunk\Build\WiringTable::of($plan, $node, self::knowledge())->rows as $row) {
            $levels[$row->terminal] ??= $row->level;
        }
        self::assertSame('high = on', $levels['IN1']);
        self::assertSame('low = on', $levels['IN2']);
        $header = (new \Rundfunk\Build\CHeader(self::knowledge()))->write($plan, $node);
        self::assertStringContainsString('#define RELAYS_ON 0', $header);
        self::assertStringContainsString('#define RELAYS_IN1_ON 1', $header);
        self::assertStringNotContainsString('RELAYS_IN2_ON', $header);
    }
}
