<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Level;
use Rundfunk\Catalogue\PinStart;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Pins\PinCost;
use Rundfunk\Pins\PinFitness;
use Rundfunk\Pins\PinObstacle;
use Tests\Core\CoreTestCase;

/** What a pin loses when a terminal takes it, and what no terminal can work on: one property of a pin after the other. */
final class PinFitnessTest extends CoreTestCase
{
    private static function fitness(): PinFitness
    {
        return new PinFitness(self::knowledge()->catalogue->boards['8bit-5v-20io'], ['spi0']);
    }

    /** @param  array<string, mixed>  $more */
    private static function pin(array $more = []): BoardPin
    {
        return new BoardPin(...['name' => 'P', 'index' => 7, 'can' => ['digital-in', 'digital-out'], ...$more]);
    }

    private static function terminal(string $class, string $name): Terminal
    {
        $terminal = self::knowledge()->catalogue->modules[$class]->terminal($name);
        self::assertNotNull($terminal);

        return $terminal;
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, Level|null, bool, int}> what the pin has besides, class, terminal, the level that switches it on, whether it can hurt, cost over its place */
    public static function costs(): iterable
    {
        $low = new PinStart(PinState::Low, PinState::Low, PinState::Low);
        yield 'nothing in its way' => [[], 'relay-bank-2-low', 'IN1', Level::Low, false, 0];
        yield 'the console' => [['console' => true], 'relay-bank-2-low', 'IN1', Level::Low, false, PinCost::CONSOLE];
        yield 'a strap' => [['strap' => Level::High], 'relay-bank-2-low', 'IN1', Level::Low, false, PinCost::STRAP];
        yield 'the lamp of the board' => [['led' => true], 'relay-bank-2-low', 'IN1', Level::Low, false, PinCost::LED];
        yield 'a contact with nothing to hold it up' => [['hasPullUp' => false], 'button-pad-2', 'K1', null, false, PinCost::NO_PULL_UP];
        yield 'an output wants nothing to hold it up' => [['hasPullUp' => false], 'relay-bank-2-low', 'IN1', Level::Low, false, 0];
        yield 'talents wasted' => [['can' => ['digital-in', 'digital-out', 'pwm', 'analogue']], 'relay-bank-2-low', 'IN1', Level::Low, false, 2 * PinCost::TALENT];
        yield 'a talent used is none wasted' => [['can' => ['digital-in', 'digital-out', 'pwm', 'analogue']], 'sensor-soil', 'OUT', null, false, 0];
        yield 'low at the start, where a low switches on' => [['start' => $low], 'relay-bank-2-low', 'IN1', Level::Low, false, PinCost::CONSOLE];
        yield 'low at the start, where a high does' => [['start' => $low], 'relay-bank-2-high', 'IN1', Level::High, false, 0];
        yield 'what can hurt, on an expander' => [['offeredBy' => 'm'], 'relay-bank-2-low', 'IN1', Level::Low, true, PinCost::CONSOLE];
        yield 'what cannot' => [['offeredBy' => 'm'], 'relay-bank-2-low', 'IN1', Level::Low, false, 0];
        yield 'what can hurt, on the board itself' => [[], 'relay-bank-2-low', 'IN1', Level::Low, true, 0];
        yield 'all at once' => [['console' => true, 'strap' => Level::High, 'led' => true, 'hasPullUp' => false, 'can' => ['digital-in', 'interrupt']], 'button-pad-2', 'K1', null, false, PinCost::CONSOLE + PinCost::STRAP + PinCost::LED + PinCost::NO_PULL_UP + PinCost::TALENT];
    }

    /** @param  array<string, mixed>  $pin */
    #[DataProvider('costs')]
    public function test_what_is_lost(array $pin, string $class, string $terminal, ?Level $on, bool $hazard, int $cost): void
    {
        self::assertSame(7 + $cost, self::fitness()->cost(self::pin($pin), self::terminal($class, $terminal), $on, $hazard));
        $ill = ($pin['console'] ?? false) === true || $cost === PinCost::CONSOLE;
        self::assertSame($ill, self::fitness()->isIll(self::pin($pin), $on, $hazard));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string, bool, PinObstacle|null}> what the pin has besides, class, terminal, whether a switch is on it */
    public static function obstacles(): iterable
    {
        $plain = ['digital-in', 'digital-out', 'analogue', 'spi0.sck'];
        yield 'none' => [[], 'button-pad-2', 'K1', false, null];
        yield 'a key on a strap' => [['strap' => Level::High], 'button-pad-2', 'K1', false, null];
        yield 'a switch on a strap stays as it is put' => [['strap' => Level::High], 'button-pad-2', 'K1', true, PinObstacle::Strap];
        yield 'a pin that cannot' => [['can' => ['digital-out']], 'button-pad-2', 'K1', false, PinObstacle::Incapable];
        yield 'pulled to the other level than the strap wants' => [['strap' => Level::High], 'motor-bridge-2', 'IN1', false, PinObstacle::Strap];
        yield 'pulled to the level that the strap wants' => [['strap' => Level::Low], 'motor-bridge-2', 'IN1', false, null];
        yield 'an input on the pin that must drive while its bus works' => [['outputWhile' => 'spi0'], 'button-pad-2', 'K1', false, PinObstacle::MustDrive];
        yield 'a voltage is an input too' => [['can' => $plain, 'outputWhile' => 'spi0'], 'sensor-soil', 'OUT', false, PinObstacle::MustDrive];
        yield 'an output there' => [['outputWhile' => 'spi0'], 'relay-bank-2-low', 'IN1', false, null];
        yield 'while another bus works' => [['outputWhile' => 'spi1'], 'button-pad-2', 'K1', false, null];
        yield 'something quick on an expander' => [['can' => $plain, 'offeredBy' => 'm'], 'packet-radio-plain', 'SCK', false, PinObstacle::Slow];
        yield 'something slow' => [['offeredBy' => 'm'], 'relay-bank-2-low', 'IN1', false, null];
    }

    /** @param  array<string, mixed>  $pin */
    #[DataProvider('obstacles')]
    public function test_what_cannot_work(array $pin, string $class, string $terminal, bool $latches, ?PinObstacle $expected): void
    {
        self::assertSame($expected, self::fitness()->obstacle(self::pin($pin), self::terminal($class, $terminal), $latches));
    }
}
