<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/**
 * The figures that rules about levels give, at the limits and a hair beyond, with how grave they are and what is offered. By hand, from what the classes say: an 8-bit board of five
 * volts gives 4.9 to 5 for high, 0.1 for low, 4.2 at 20 mA, and advises 20 mA a pin of 40 at the most; a Wi-Fi board stands 3.6, takes 2.48 for high and 0.83 for low, gives 3.2.
 * Ohm's law; E24: IEC 60063; an I²C line is pulled low by no more than 3 mA, to 0.4 V (UM10204).
 */
final class LevelFiguresTest extends CoreTestCase
{
    use SaysFigures;

    /** @return iterable<string, array{string, Closure(Sketch): Sketch, list<array{array<string, float|int|null>, string|null}>, Severity|null}> rule, plan, of each finding its figures and its fix, how grave */
    public static function cases(): iterable
    {
        // A thing of its own levels, told by a board of five volts or heard by a Wi-Fi board.
        $told = static fn (array $in, ?float $drawsMa = null): Closure => static fn (Sketch $s): Sketch => $s
            ->describe(ThingKind::OwnModule, 'c', 'Own', 'relay-bank-1-high', ['levels' => ['in' => $in], ...($drawsMa === null ? [] : ['terminals' => [['name' => 'IN1', 'needs' => 'digital-out', 'carries' => 'output', 'drawsMa' => $drawsMa, 'doc' => 'Switched.']]])])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', $s->classOf('c'), 'Part', FedFrom::Board5V)->wire('m', 'IN1', 'D4');
        $heard = static fn (array $out): Closure => static fn (Sketch $s): Sketch => $s
            ->describe(ThingKind::OwnModule, 'c', 'Own', 'infrared-receiver', ['levels' => ['out' => $out]])
            ->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', $s->classOf('c'), 'Part', FedFrom::Board3V3)->wire('m', 'OUT', 'IO16');
        $with = static fn (Closure $sketch, PartKind $kind, ?float $ohms = null, ?float $lower = null, string $terminal = 'IN1'): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, ['ohms' => $ohms, 'lowerOhms' => $lower]);
        $halved = static fn (Closure $sketch, string $terminal = 'IN1'): Closure => $with($sketch, PartKind::Divider, 1_000.0, 1_000.0, $terminal);

        // 5 V into what stands so much; 2.5 V behind two equal resistors.
        yield 'it stands the five volts' => ['level-too-high', $told(['highV' => 2.0, 'mostV' => 5.0]), [], null];
        yield 'it stands a hundredth less' => ['level-too-high', $told(['highV' => 2.0, 'mostV' => 4.99]), [[['arrives_v' => 5.0, 'most_v' => 4.99], 'Put there: divider 1 kΩ / 18 kΩ']], Severity::Fault];
        yield 'half of it' => ['level-too-high', $halved($told(['highV' => 2.0, 'mostV' => 2.5])), [], null];
        yield 'a hundredth less than half' => ['level-too-high', $halved($told(['highV' => 2.0, 'mostV' => 2.49])), [[['arrives_v' => 2.5, 'most_v' => 2.49], 'Put there: divider 1 kΩ / 820 Ω']], Severity::Fault];
        yield 'a resistor in series leaves all of it' => ['level-too-high', $with($told(['highV' => 2.0, 'mostV' => 4.99]), PartKind::SeriesResistor, 1_000.0), [[['arrives_v' => 5.0, 'most_v' => 4.99], 'Put there: divider 1 kΩ / 18 kΩ']], Severity::Fault];

        // 4.9 V at the least; less than a tenth short it mostly works on the bench.
        yield 'it takes 4.9 for high' => ['level-too-low', $told(['highV' => 4.9, 'mostV' => 6.0]), [], null];
        yield 'it takes 4.91' => ['level-too-low', $told(['highV' => 4.91, 'mostV' => 6.0]), [[['arrives_v' => 4.9, 'takes_v' => 4.91], 'Put there: level shifter, one channel']], Severity::Advice];
        yield 'a tenth short' => ['level-too-low', $told(['highV' => 5.44, 'mostV' => 6.0]), [[['arrives_v' => 4.9, 'takes_v' => 5.44], 'Put there: level shifter, one channel']], Severity::Advice];
        yield 'more than a tenth' => ['level-too-low', $told(['highV' => 5.45, 'mostV' => 6.0]), [[['arrives_v' => 4.9, 'takes_v' => 5.45], 'Put there: level shifter, one channel']], Severity::Fault];
        yield 'half of 4.9' => ['level-too-low', $halved($told(['highV' => 2.45, 'mostV' => 6.0])), [], null];
        yield 'is no 2.46' => ['level-too-low', $halved($told(['highV' => 2.46, 'mostV' => 6.0])), [[['arrives_v' => 2.45, 'takes_v' => 2.46], 'Take out the divider']], Severity::Advice];

        yield 'it takes 0.1 for low' => ['low-too-high', $told(['highV' => 2.0, 'lowV' => 0.1, 'mostV' => 6.0]), [], null];
        yield 'it takes 0.0999' => ['low-too-high', $told(['highV' => 2.0, 'lowV' => 0.0999, 'mostV' => 6.0]), [[['arrives_v' => 0.1, 'takes_v' => 0.1], 'Put there: level shifter, one channel']], Severity::Fault];
        yield 'half of it, and 0.05 for low' => ['low-too-high', $halved($told(['highV' => 2.0, 'lowV' => 0.05, 'mostV' => 6.0])), [], null];
        yield 'half of it, and 0.049' => ['low-too-high', $halved($told(['highV' => 2.0, 'lowV' => 0.049, 'mostV' => 6.0])), [[['arrives_v' => 0.05, 'takes_v' => 0.049], 'Put there: level shifter, one channel in place of the divider']], Severity::Fault];

        // What a Wi-Fi board is told.
        yield 'the board stands 3.6' => ['level-too-high', $heard(['highV' => 3.6]), [], null];
        yield 'and no 3.61' => ['level-too-high', $heard(['highV' => 3.61]), [[['arrives_v' => 3.61, 'most_v' => 3.6], 'Put there: divider 1 kΩ / 10 kΩ']], Severity::Fault];
        yield 'the board takes 2.48 for high' => ['level-too-low', $heard(['highV' => 3.3, 'leastHighV' => 2.48]), [], null];
        yield 'and no 2.47' => ['level-too-low', $heard(['highV' => 3.3, 'leastHighV' => 2.47]), [[['arrives_v' => 2.47, 'takes_v' => 2.48], 'Put there: level shifter, one channel']], Severity::Advice];
        yield 'the board takes 0.83 for low' => ['low-too-high', $heard(['highV' => 3.3, 'mostLowV' => 0.83]), [], null];
        yield 'and no 0.831' => ['low-too-high', $heard(['highV' => 3.3, 'mostLowV' => 0.831]), [[['arrives_v' => 0.831, 'takes_v' => 0.83], 'Put there: level shifter, one channel']], Severity::Fault];
        // A high by 500 Ω through 1 kΩ and 1.5 kΩ: half of it arrives.
        $by500 = static fn (float $highV): Closure => $with($heard(['highV' => $highV, 'leastHighV' => $highV, 'highOhm' => 500.0]), PartKind::Divider, 1_000.0, 1_500.0, 'OUT');
        yield 'half of 7.2 V by a resistor' => ['level-too-high', $by500(7.2), [], null];
        yield 'half of 7.22 V' => ['level-too-high', $by500(7.22), [[['arrives_v' => 3.61, 'most_v' => 3.6], 'Put there: divider 1 kΩ / 1.2 kΩ']], Severity::Fault];
        yield 'half of 4.96 V' => ['level-too-low', $by500(4.96), [], null];
        yield 'half of 4.9 V' => ['level-too-low', $by500(4.9), [[['arrives_v' => 2.45, 'takes_v' => 2.48], 'Put there: divider 1 kΩ / 3 kΩ']], Severity::Advice];

        // 0.1 V is left across an input whose other side hangs on five volts; on a Wi-Fi board 1.8.
        yield 'it lets go at what is left' => ['relay-holds', $told(['ledDropV' => 3.0, 'ledBareV' => 0.1, 'mostV' => 6.0]), [], null];
        yield 'it does not' => ['relay-holds', $told(['ledDropV' => 3.0, 'ledBareV' => 0.09, 'mostV' => 6.0]), [[['left_v' => 0.1], 'Put there: level shifter, one channel']], Severity::Warning];

        // 20 mA a pin; of a base 4.2 − 0.7 V are left, and it gets a fifteenth of what is switched.
        yield 'twenty milliamperes' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 20.0), [], null];
        yield 'a hair more' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 20.01), [[['draws_ma' => 20.01, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: NPN transistor, 2.4 kΩ to its base']], Severity::Warning];
        yield 'forty' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 40.0), [[['draws_ma' => 40.0, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: NPN transistor, 1.3 kΩ to its base']], Severity::Warning];
        yield 'more than forty' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 40.01), [[['draws_ma' => 40.01, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: NPN transistor, 1.3 kΩ to its base']], Severity::Fault];
        // 180 Ω leave the base 19.4 mA of the pin's 20, and it switches fifteen times as much; the next value down, 160 Ω, would take 21.9.
        yield 'as much as one transistor switches' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 291.0), [[['draws_ma' => 291.0, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: NPN transistor, 180 Ω to its base']], Severity::Fault];
        yield 'more than that' => ['pin-overdrawn', $told(['highV' => 2.0, 'mostV' => 6.0], 292.0), [[['draws_ma' => 292.0, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], null]], Severity::Fault];
        $plain = $told(['highV' => 2.0, 'mostV' => 6.0]);
        yield 'a base of 20 mA' => ['pin-overdrawn', $with($plain, PartKind::Driver, 175.0), [], null];
        yield 'of more' => ['pin-overdrawn', $with($plain, PartKind::Driver, 174.0), [[['draws_ma' => 20.115, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Take out the NPN transistor']], Severity::Warning];
        yield 'a pull down of 20 mA' => ['pin-overdrawn', $with($plain, PartKind::PullDown, 245.0), [], null];
        yield 'that takes more' => ['pin-overdrawn', $with($plain, PartKind::PullDown, 244.0), [[['draws_ma' => 20.082, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: pull-down resistor 10 kΩ']], Severity::Warning];
        yield 'a pull up to five volts' => ['pin-overdrawn', $with($plain, PartKind::PullUp, 250.0), [], null];
        yield 'that gives more' => ['pin-overdrawn', $with($plain, PartKind::PullUp, 249.0), [[['draws_ma' => 20.08, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: pull-up resistor 10 kΩ']], Severity::Warning];
        yield 'a divider of 245 Ω' => ['pin-overdrawn', $with($plain, PartKind::Divider, 100.0, 145.0), [], null];
        yield 'of 244' => ['pin-overdrawn', $with($plain, PartKind::Divider, 100.0, 144.0), [[['draws_ma' => 20.082, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Take out the divider']], Severity::Warning];
        yield 'one that has a better of larger ones' => ['pin-overdrawn', $with($told(['highV' => 2.0, 'mostV' => 3.0]), PartKind::Divider, 100.0, 144.0), [[['draws_ma' => 20.082, 'advised_ma' => 20.0, 'absolute_ma' => 40.0], 'Put there: divider 1 kΩ / 1.3 kΩ']], Severity::Warning];
        yield 'what hangs on another wire' => ['pin-overdrawn', $with($plain, PartKind::PullDown, 10.0, null, 'IN2'), [], null];

        // What a chip of 3.3 V stands in all. It gives 3.2 V, 2.62 where much is taken: of a base 2.5 V are left through 1 kΩ, of a lamp's diode 1.4, of a coupler's at five volts 1.9.
        $all = static fn (float $chipTotalMa, string $class, int $count, ?Closure $more = null): Closure => static function (Sketch $s) use ($chipTotalMa, $class, $count, $more): Sketch {
            $s->describe(ThingKind::OwnBoard, 'b', 'Own', '32bit-3v3-26io', ['pinCurrent' => ['advisedMa' => 40, 'absoluteMa' => 60, 'chipTotalMa' => $chipTotalMa]])->node('n', 'N', NodeKind::Controller, null, $s->classOf('b'));
            $terminal = self::knowledge()->catalogue->modules[$class]->terminals;
            for ($number = 0; $number < $count; $number++) {
                $s->module("m{$number}", 'n', $class, "Part {$number}", FedFrom::Board5V)->wire("m{$number}", array_key_first($terminal) ?? '', ['GP16', 'GP17', 'GP18'][$number]);
            }

            return $more === null ? $s : $more($s);
        };
        $carries = static fn (float $carriedMa, float $mostMa): array => [[['carried_ma' => $carriedMa, 'most_ma' => $mostMa], null]];
        yield 'two bases, and it stands so much' => ['chip-overdrawn', $all(5.0, 'relay-bank-1-high', 2), [], null];
        yield 'a hair less' => ['chip-overdrawn', $all(4.99, 'relay-bank-1-high', 2), $carries(5.0, 4.99), Severity::Warning];
        yield 'two couplers' => ['chip-overdrawn', $all(3.8, 'relay-bank-1-low', 2), [], null];
        yield 'two couplers, a hair less' => ['chip-overdrawn', $all(3.79, 'relay-bank-1-low', 2), $carries(3.8, 3.79), Severity::Warning];
        yield 'three lamps' => ['chip-overdrawn', $all(4.2, 'indicator-lamp', 3), [], null];
        yield 'three lamps, a hair less' => ['chip-overdrawn', $all(4.19, 'indicator-lamp', 3), $carries(4.2, 4.19), Severity::Warning];
        yield 'a buzzer' => ['chip-overdrawn', $all(30.0, 'buzzer', 1), [], null];
        yield 'two' => ['chip-overdrawn', $all(30.0, 'buzzer', 2), $carries(60.0, 30.0), Severity::Warning];
        yield 'one of them behind a transistor' => ['chip-overdrawn', $all(31.2, 'buzzer', 2, static fn (Sketch $s): Sketch => $s->part('m0', 'SIG', PartKind::Driver, ['ohms' => 1_600])), [], null];
        yield 'its base is carried too' => ['chip-overdrawn', $all(31.19, 'buzzer', 2, static fn (Sketch $s): Sketch => $s->part('m0', 'SIG', PartKind::Driver, ['ohms' => 1_600])), $carries(31.2, 31.19), Severity::Warning];
        yield 'a pull down beside a base' => ['chip-overdrawn', $all(5.69, 'relay-bank-1-high', 1, static fn (Sketch $s): Sketch => $s->part('m0', 'IN1', PartKind::PullDown, ['ohms' => 1_000])), $carries(5.7, 5.69), Severity::Warning];
        yield 'at another terminal' => ['chip-overdrawn', $all(5.69, 'relay-bank-1-high', 1, static fn (Sketch $s): Sketch => $s->part('m0', 'IN2', PartKind::PullDown, ['ohms' => 1_000])), [], null];
        yield 'behind a shifter, which gives it itself' => ['chip-overdrawn', $all(2.0, 'relay-bank-1-high', 1, static fn (Sketch $s): Sketch => $s->part('m0', 'IN1', PartKind::Shifter)), [], null];
        yield 'of two coils one is told' => ['chip-overdrawn', $all(2.5, 'relay-latching-1', 1, static fn (Sketch $s): Sketch => $s->wire('m0', 'RESET', 'GP19')), [], null];
        yield 'a gate takes nothing' => ['chip-overdrawn', $all(1.0, 'transistor-2v5', 3), [], null];
        yield 'nor does what is heard' => ['chip-overdrawn', $all(1.0, 'button-pad-1', 3), [], null];
        yield 'a terminal wired twice is one' => ['chip-overdrawn', $all(2.5, 'relay-bank-1-high', 1, static fn (Sketch $s): Sketch => $s->wireAgain('m0', 'IN1', 'GP19')), [], null];
        yield 'an expander carries its own' => ['chip-overdrawn', static fn (Sketch $s): Sketch => $all(1.0, 'relay-bank-1-high', 0)($s)->module('x', 'n', 'expander-i2c-16', 'Expander', FedFrom::Board3V3)->module('r', 'n', 'relay-bank-1-high', 'Relay', FedFrom::Board5V)->wire('r', 'IN1', 'X0'), [], null];
        yield 'nobody knows what it stands' => ['chip-overdrawn', static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io')->module('m', 'n', 'buzzer', 'Buzzer')->wire('m', 'SIG', 'IO4'), [], null];

        // Five volts less 0.4 through 3 mA are 1,533 Ω; 3.3 V less 0.4 967 Ω. A display brings 4.7 kΩ, a 40-pin computer 1.8 kΩ.
        $shown = static fn (string $board, int $displays, ?float $part, string $terminal = 'SDA', PartKind $kind = PartKind::PullUp): Closure => static function (Sketch $s) use ($board, $displays, $part, $terminal, $kind): Sketch {
            [$sda, $scl] = $board === 'computer-40pin' ? ['GPIO2', 'GPIO3'] : ['A4', 'A5'];
            $s->node('n', 'N', NodeKind::Controller, null, $board);
            for ($number = 0; $number < $displays; $number++) {
                $s->module("m{$number}", 'n', 'display-i2c', "Display {$number}", $board === 'computer-40pin' ? FedFrom::Board3V3 : FedFrom::Board5V)->wire("m{$number}", 'SDA', $sda)->wire("m{$number}", 'SCL', $scl);
            }

            return $part === null ? $s : $s->part('m0', $terminal, $kind, ['ohms' => $part]);
        };
        yield 'three displays' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 3, null), [], null];
        yield 'four' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 4, null), array_fill(0, 2, [['ohms' => 1_175.0, 'least_ohms' => 1_533.0], null]), Severity::Warning];
        yield 'one, and just enough more' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 1, 2_276.0), [], null];
        yield 'one, and just too much more, on its line alone' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 1, 2_273.0), [[['ohms' => 1_532.0, 'least_ohms' => 1_533.0], null]], Severity::Warning];
        yield 'a resistor of another kind' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 1, 100.0, kind: PartKind::SeriesResistor), [], null];
        yield 'on the other line' => ['i2c-pulled-hard', $shown('8bit-5v-20io', 1, 2_273.0, 'SCL'), [[['ohms' => 1_532.0, 'least_ohms' => 1_533.0], null]], Severity::Warning];
        yield 'one on a 40-pin computer' => ['i2c-pulled-hard', $shown('computer-40pin', 1, 3_770.0), [], null];
        yield 'one, and too much more' => ['i2c-pulled-hard', $shown('computer-40pin', 1, 3_750.0), [[['ohms' => 966.0, 'least_ohms' => 967.0], null]], Severity::Warning];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<array{array<string, float|int|null>, string|null}>  $expected
     */
    #[DataProvider('cases')]
    public function test_the_figures_how_grave_they_are_and_what_is_offered(string $rule, Closure $draw, array $expected, ?Severity $severity): void
    {
        $sketch = $draw(self::sketch());
        self::assertSays($expected, $rule, $sketch);
        self::assertSame(array_fill(0, count($expected), $severity), array_map(static fn (Finding $finding): Severity => $finding->severity, self::found($sketch->plan(), $rule)));
    }
}
