<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Pins\Expanding;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/**
 * What is bought for a board that is short of pins. A shift register takes three and has eight, an expander takes the two of the I²C bus and has sixteen; an 8-bit board
 * has twenty pins, two of them its console's, a 32-bit board twenty-six.
 */
final class ExpandingTest extends CoreTestCase
{
    private const REGISTERS = ['Shift register shift-register-8 X 80', 'Shift register 2 shift-register-8 Y 81', 'Shift register 3 shift-register-8 Z 82'];

    private const EXPANDER = ['Expander expander-i2c-16 X 80'];

    /** @return iterable<string, array{Closure(Sketch): Sketch, list<string>}> node n; name, class, letter and place of each that is bought */
    public static function boards(): iterable
    {
        $relays = static function (int $count, ?string $board = '8bit-5v-20io'): Closure {
            return static function (Sketch $s) use ($count, $board): Sketch {
                $s->node('n', 'N', NodeKind::Controller, null, $board);
                for ($number = 0; $number < $count; $number++) {
                    $s->module("r{$number}", 'n', 'relay-bank-1-high', "R{$number}")->output("o{$number}", 'n', "O{$number}", OutputKind::Relay, "r{$number}", 'IN1');
                }

                return $s;
            };
        };
        yield 'as many as there are pins' => [$relays(20), []];
        yield 'one more: of seventeen and eight' => [$relays(21), [self::REGISTERS[0]]];
        yield 'two registers' => [$relays(26), array_slice(self::REGISTERS, 0, 2)];
        yield 'three' => [$relays(30), self::REGISTERS];
        yield 'thirty-two are eighteen and fourteen of an expander' => [$relays(32), self::EXPANDER];
        yield 'more than anything gives: what leaves the least' => [$relays(56), self::EXPANDER];
        yield 'a larger board' => [$relays(26, '32bit-3v3-26io'), []];
        yield 'and one more' => [$relays(27, '32bit-3v3-26io'), [self::REGISTERS[0]]];
        yield 'no board has no pins, and lacks none' => [$relays(40, null), []];
        yield 'an expander there already answers to the address' => [static fn (Sketch $s): Sketch => $relays(36)($s)->module('x', 'n', 'expander-i2c-16', 'There', FedFrom::Board5V, ['prefix' => 'X']), ['Shift register 2 shift-register-8 Y 81']];
        yield 'a clock beside it does not' => [static fn (Sketch $s): Sketch => $relays(32)($s)->module('c', 'n', 'clock-i2c', 'Clock', FedFrom::Board5V), self::EXPANDER];
        yield 'what is quick goes behind none' => [static function (Sketch $s): Sketch {
            $s->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io');
            for ($number = 0; $number < 21; $number++) {
                $s->module("s{$number}", 'n', 'servo-small', "S{$number}", FedFrom::Own)->output("o{$number}", 'n', "O{$number}", OutputKind::Servo, "s{$number}", 'SIG');
            }

            return $s;
        }, []];
        yield 'what is slow makes room for what is quick' => [static function (Sketch $s) use ($relays): Sketch {
            $relays(20)($s);

            return $s->module('ear', 'n', 'infrared-receiver', 'Ear', FedFrom::Board5V);
        }, [self::REGISTERS[0]]];
        yield 'and for a key' => [static function (Sketch $s) use ($relays): Sketch {
            $relays(20)($s);

            return $s->module('k', 'n', 'button-pad-1', 'Key')->control('c', 'n', 'Key', ControlKind::Button, 'k', 'K1');
        }, [self::REGISTERS[0]]];
        yield 'the letter is one that no pin begins with' => [static function (Sketch $s) use ($relays): Sketch {
            $pins = self::knowledge()->catalogue->described('8bit-5v-20io')['pins'];
            self::assertIsArray($pins);
            $pins[19] = ['name' => 'X0', 'can' => ['digital-in', 'digital-out']];
            $s->describe(ThingKind::OwnBoard, 'own', 'Own', '8bit-5v-20io', ['pins' => $pins]);

            return $relays(21, $s->classOf('own'))($s);
        }, ['Shift register shift-register-8 Y 80']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<string>  $expected
     */
    #[DataProvider('boards')]
    public function test_those_are_bought_that_leave_the_least_without_a_pin(Closure $draw, array $expected): void
    {
        $sketch = $draw(self::sketch());
        $plan = $sketch->plan();
        $best = Expanding::best($plan, $plan, $plan->node($sketch->id('n')), self::knowledge());
        self::assertSame($expected, array_map(static fn (Module $module): string => "{$module->name} {$module->class} {$module->prefix} {$module->order}", $best));
    }
}
