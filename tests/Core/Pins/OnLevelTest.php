<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Catalogue\Level;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Tests\Core\CoreTestCase;

/** Which level of a board's pin switches a thing on: the module's own, turned over by each driver between and by a normally closed contact. */
final class OnLevelTest extends CoreTestCase
{
    /** @return iterable<string, array{string, string, string|null, int, Level|null}> class, terminal, contact of what hangs on it (null where nothing does), drivers on the wire */
    public static function wires(): iterable
    {
        yield 'a bank that a low switches' => ['relay-bank-2-low', 'IN1', 'normally-open', 0, Level::Low];
        yield 'a bank that a high switches' => ['relay-bank-2-high', 'IN1', 'normally-open', 0, Level::High];
        yield 'nothing hangs on it' => ['relay-bank-2-low', 'IN1', null, 0, Level::Low];
        yield 'on the closed contact the coil switches off' => ['relay-bank-2-low', 'IN1', 'normally-closed', 0, Level::High];
        yield 'the same with a high' => ['relay-bank-2-high', 'IN1', 'normally-closed', 0, Level::Low];
        yield 'a driver turns it over' => ['relay-bank-2-low', 'IN1', 'normally-open', 1, Level::High];
        yield 'two of them turn it back' => ['relay-bank-2-low', 'IN1', 'normally-open', 2, Level::Low];
        yield 'three do what one does' => ['relay-bank-2-low', 'IN1', 'normally-open', 3, Level::High];
        yield 'a driver and a closed contact' => ['relay-bank-2-low', 'IN1', 'normally-closed', 1, Level::Low];
        yield 'what hangs on its neighbour is the neighbour\'s' => ['relay-bank-2-low', 'IN2', 'normally-closed', 0, Level::Low];
        yield 'a transistor has no closed contact' => ['transistor-2v5', 'GATE', 'normally-closed', 0, Level::High];
        yield 'what dims is switched by a level too' => ['motor-bridge-2', 'ENA', 'normally-open', 0, Level::High];
        yield 'a sounder' => ['buzzer', 'SIG', 'normally-open', 0, Level::High];
        yield 'bits of a strip are no level' => ['strip-pixels', 'DIN', 'normally-open', 0, null];
        yield 'pulses of a servo are none' => ['servo-small', 'SIG', 'normally-open', 0, null];
        yield 'what is read switches nothing' => ['button-pad-2', 'K1', null, 0, null];
    }

    #[DataProvider('wires')]
    public function test_it_is_the_modules_own_turned_over(string $class, string $terminal, ?string $contact, int $drivers, ?Level $expected): void
    {
        $sketch = self::sketch()->node('n', 'Node', NodeKind::Controller, null, '8bit-5v-70io')->module('m', 'n', $class, 'Part');
        if ($contact !== null) {
            $sketch->output('o', 'n', 'Thing', OutputKind::Relay, 'm', $terminal === 'IN2' ? 'IN1' : $terminal, more: ['contact' => $contact]);
        }
        for ($driver = 0; $driver < $drivers; $driver++) {
            $sketch->part('m', $terminal, PartKind::Driver, more: (string) $driver);
        }
        // Parts that are none of a driver, and drivers of other wires, turn nothing over.
        $sketch->part('m', $terminal, PartKind::PullDown, ['ohms' => 10_000])->part('m', $terminal.'x', PartKind::Driver);
        $plan = $sketch->plan();
        $module = $plan->modulesOf($plan->nodes()[0])[0];
        $of = self::knowledge()->catalogue->classOf($module);
        $found = $of->terminal($terminal);
        self::assertNotNull($found);
        self::assertSame($expected, OnLevel::of($plan, $module, $of, $found));
    }
}
