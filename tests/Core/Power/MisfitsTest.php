<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Look;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\Mending;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;
use Tests\Core\CoreTestCase;

/** Which of several parts at one wire is blamed, for what, and what it should be instead. Worked by hand. */
final class MisfitsTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, list<string>, string|null, array<string, float>|null, string, string}> plan; each harm; the worst of them in words; what its part should be; what will be there; what is to be done */
    public static function wires(): iterable
    {
        $on = static fn (string $class, FedFrom|string|null $fed, string $terminal, string $pin, ?OutputKind $kind = null): Closure => static fn (Sketch $s): Sketch => ($kind === null
            ? $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', $class, 'Part', $fed)
            : $s->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('m', 'n', $class, 'Part', $fed)->output('o', 'n', 'O', $kind, 'm', $terminal))->wire('m', $terminal, $pin);
        $at = static fn (Closure $sketch, string $terminal, PartKind $kind, array $values = []): Closure => static fn (Sketch $s): Sketch => $sketch($s)->part('m', $terminal, $kind, $values);
        $sensor = $on('sensor-temperature', FedFrom::Board3V3, 'DATA', 'IO4');
        $held = $at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 4_700.0]);
        $gate = $on('transistor-2v5', null, 'GATE', 'IO25', OutputKind::Pwm);
        $receiver = $on('keyed-receiver', FedFrom::Board5V, 'DATA', 'IO25');
        $relay = $on('relay-bank-1-high', FedFrom::Board5V, 'IN1', 'IO25');

        yield 'nothing there, nothing wanted' => [$on('button-pad-1', null, 'K1', 'IO25'), [], null, null, 'without ', 'Take out '];
        yield 'what is right' => [$held, [], null, null, 'without ', 'Take out '];
        // Half an ohm and ten kilohms: a low stops at the ten, and 3.3 V through the half are 6.6 A.
        yield 'two, the misplaced one first' => [$at($at($sensor, 'DATA', PartKind::PullUp, ['ohms' => 0.5]), 'DATA', PartKind::SeriesResistor, ['ohms' => 10_000.0]), ['series-resistor is out of place', 'pull-up asks for too much'], 'the resistor in series is out of place', null, 'pull-up resistor 4.7 kΩ', 'Put there: pull-up resistor 4.7 kΩ in place of the resistor in series'];
        yield 'two that both go' => [$at($at($held, 'DATA', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 2_000.0]), 'DATA', PartKind::Driver, ['ohms' => 1_000.0]), ['divider is out of place', 'driver is out of place'], 'the divider is out of place', null, 'without the divider and the NPN transistor', 'Take out the divider and the NPN transistor'];
        // 5 V over 300 Ω are 17 mA; a thousand ohms and 1.8 k bring 5 V to 3.2.
        yield 'a divider of small resistors' => [$at($receiver, 'DATA', PartKind::Divider, ['ohms' => 100.0, 'lowerOhms' => 200.0]), ['divider asks for too much'], 'the divider asks for too much', ['ohms' => 1_000.0, 'lowerOhms' => 1_800.0], 'divider 1 kΩ / 1.8 kΩ', 'Put there: divider 1 kΩ / 1.8 kΩ'];
        yield 'a divider that should be another' => [$at($receiver, 'DATA', PartKind::Divider, ['ohms' => 1_000.0, 'lowerOhms' => 100.0]), ['divider asks for too much'], 'the divider asks for too much', ['ohms' => 1_000.0, 'lowerOhms' => 1_800.0], 'divider 1 kΩ / 1.8 kΩ', 'Put there: divider 1 kΩ / 1.8 kΩ'];
        // (3.3 - 0.7) V through 50 Ω are 52 mA.
        yield 'the base of one whose load is fed elsewhere' => [$at($at($relay, 'IN1', PartKind::PullUp, ['ohms' => 10_000.0]), 'IN1', PartKind::Driver, ['ohms' => 50.0]), ['driver asks for too much'], 'the NPN transistor asks for too much', ['ohms' => 10_000.0], 'NPN transistor 10 kΩ', 'Put there: NPN transistor 10 kΩ'];
        // 30 mA of a gain of 30, and three times that for certain: (2.64 - 0.7) V / 3 mA = 650 Ω; the calculator's rule gives 910.
        yield 'the base of one whose load lives on it' => [$at($on('buzzer', null, 'SIG', 'IO25', OutputKind::Tone), 'SIG', PartKind::Driver, ['ohms' => 50.0]), ['driver asks for too much'], 'the NPN transistor asks for too much', ['ohms' => 910.0], 'NPN transistor 910 Ω', 'Put there: NPN transistor 910 Ω'];
        yield 'of two, the one that slows' => [$at($at($gate, 'GATE', PartKind::SeriesResistor, ['ohms' => 10_000.0]), 'GATE', PartKind::PullDown, ['ohms' => 1_000_000.0]), ['series-resistor makes it too slow'], 'the resistor in series makes it too slow', ['ohms' => 100.0], 'resistor in series 100 Ω', 'Put there: resistor in series 100 Ω'];
        // 30 kΩ and 10 beside them hold it high: 10 kΩ down leave four sevenths, and high is from three quarters on.
        $eye = $on('infrared-receiver', FedFrom::Board3V3, 'OUT', 'IO25');
        yield 'of two, the one that spoils the level' => [$at($at($eye, 'OUT', PartKind::PullDown, ['ohms' => 10_000.0]), 'OUT', PartKind::PullUp, ['ohms' => 10_000.0]), ['pull-down spoils its levels'], 'the pull-down resistor spoils its levels', null, 'without the pull-down resistor', 'Take out the pull-down resistor'];
        yield 'a part without a value does no harm' => [$at($sensor, 'DATA', PartKind::PullUp), [], null, null, 'without ', 'Take out '];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  list<string>  $all
     * @param  array<string, float>|null  $better
     */
    #[DataProvider('wires')]
    public function test_each_part_is_blamed_for_the_harm_it_does_and_no_other(Closure $draw, array $all, ?string $words, ?array $better, string $mended, string $label): void
    {
        $plan = $draw(self::sketch())->plan();
        $look = new Look($plan, self::knowledge());
        $wire = $look->wire($plan->pinUses()[0]);
        self::assertNotNull($wire);
        $wiring = Wiring::in($look);
        $misfits = new Misfits($wiring, $wire);
        $kinds = array_map(static fn (Part $part): string => $part->kind->value, array_column($plan->of(Part::class), null, 'id'));
        self::assertSame($all, array_map(static fn (string $harm): string => strtr($harm, $kinds), $misfits->all()));
        self::assertSame($words, $misfits->words());
        $worst = $misfits->worst();
        self::assertSame($all === [], $worst === []);
        self::assertSame($better, $worst === [] ? null : $misfits->better($worst[0]));
        $mending = Mending::of($wiring, $wire);
        self::assertSame([$mended, $label], [$mending->words, $mending->label]);
    }
}
