<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Verdicts;
use Tests\Core\CoreTestCase;

/**
 * What is drawn for hours while all that can be on is on, by which regulators get hot: a coil draws its peak for as long as it holds, a modem for a
 * millisecond. By hand, of the classes' figures: a coil 80 mA, a pixel 60 at full white, a small servo 250 turning and 700 stalled, a 2G modem 20 and
 * bursts of 2 A, a signal side 4 mA a channel; a board 30 and 50.
 */
final class HeldLoadTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, float, float}> what hangs on 'f', what it then draws for hours and at its peak, mA */
    public static function loads(): iterable
    {
        yield 'a coil that holds' => [static fn (Sketch $s): Sketch => $s->module('r', 'n', 'relay-bank-1-low', 'Relay', 'f'), 80.0, 80.0];
        yield 'eight' => [static fn (Sketch $s): Sketch => $s->module('r', 'n', 'relay-bank-8-high', 'Relays', 'f'), 640.0, 640.0];
        yield 'a coil that only tips it over' => [static fn (Sketch $s): Sketch => $s->module('r', 'n', 'relay-latching-1', 'Relay', 'f'), 2.0, 90.0];
        yield 'ten lights' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'strip-pixels', 'Strip', 'f')->output('o', 'n', 'Lights', OutputKind::Strip, 'm', 'DIN', more: ['settings' => ['pixels' => 10]]), 600.0, 600.0];
        yield 'a servo turns' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'servo-small', 'Servo', 'f'), 250.0, 700.0];
        // Two amperes for an eighth of a call, and what it takes besides.
        yield 'a modem in a call' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'modem-2g', 'Modem', 'f'), 300.0, 2_000.0];
        yield 'slots are sent without a pause' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'dmx-driver-5v', 'Driver', 'f'), 60.0, 60.0];
        yield 'a shift register lights what it has' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'shift-register-8', 'Register', 'f'), 50.0, 50.0];
        yield 'the signal side of four channels' => [static fn (Sketch $s): Sketch => $s->supply('c', 'n', 'plug-5v-1a', 'Coils')->module('r', 'n', 'relay-bank-4-low', 'Relays', 'c', ['signalSupplyId' => $s->id('f')]), 16.0, 16.0];
        yield 'ten watts that a transistor lets through' => [static fn (Sketch $s): Sketch => $s->load('l', 'Lamp', null, null, LoadKind::Resistive, 10.0, ['supplyId' => $s->id('f'), 'use' => LoadUse::Switched->value]), 2_000.0, 2_000.0];
        yield 'a board and its lamp' => [static fn (Sketch $s): Sketch => $s->change(ThingKind::Supply, 'f', ['feedsAt' => FeedsAt::Usb->value])->module('l', 'n', 'indicator-lamp', 'Lamp')->wire('l', 'LED', 'D4'), 33.1, 53.1];
        yield 'a buzzer on a pin, which sounds on' => [static fn (Sketch $s): Sketch => $s->change(ThingKind::Supply, 'f', ['feedsAt' => FeedsAt::Usb->value])->module('b', 'n', 'buzzer', 'Buzzer')->wire('b', 'SIG', 'D5'), 60.0, 80.0];
        // 5 V · 640 mA / 5 V, of which none is lost in a line; behind a buck from the same 5 V to 2.5 V it is less: 250 mA · 2.5 / 5 / 0.88 + 1.
        yield 'eight coils behind a line' => [static fn (Sketch $s): Sketch => $s->supply('y', 'n', 'line', 'Line', 'f')->module('r', 'n', 'relay-bank-8-high', 'Relays', 'y'), 640.0, 640.0];
        yield 'a servo behind a buck' => [static fn (Sketch $s): Sketch => $s->supply('y', 'n', 'buck', 'Buck', 'f', more: ['volts' => 2.5])->module('m', 'n', 'servo-small', 'Servo', 'y'), 250 * 2.5 / 5 / 0.88 + 1, 700 * 2.5 / 5 / 0.88 + 1];

        $own = static fn (string $of, array $supply): Closure => static fn (Sketch $s): Sketch => $s->describe(ThingKind::OwnModule, 'c', 'Own', $of, ['supply' => ['minV' => 4.5, 'maxV' => 5.5, ...$supply]])->module('m', 'n', $s->classOf('c'), 'Own', 'f');
        yield 'a relay of one\'s own that does not say' => [$own('relay-bank-2-high', ['typicalMa' => 3.0, 'peakMa' => 120.0]), 120.0, 120.0];
        yield 'one that saves once it holds' => [$own('relay-bank-2-high', ['typicalMa' => 3.0, 'heldMa' => 50.0, 'peakMa' => 120.0]), 50.0, 120.0];
        yield 'a sensor that does not say' => [$own('sensor-gas', ['typicalMa' => 100.0, 'peakMa' => 180.0]), 100.0, 180.0];
        yield 'a peak that is less than what is usual is a slip' => [$own('sensor-gas', ['typicalMa' => 100.0, 'peakMa' => 18.0]), 100.0, 100.0];
        yield 'and less than what is held' => [$own('relay-bank-2-high', ['typicalMa' => 3.0, 'heldMa' => 150.0, 'peakMa' => 120.0]), 150.0, 150.0];
        yield 'more as a rule than for hours' => [$own('sensor-gas', ['typicalMa' => 100.0, 'heldMa' => 20.0, 'peakMa' => 180.0]), 100.0, 180.0];
    }

    /** @param  Closure(Sketch): Sketch  $hung */
    #[DataProvider('loads')]
    public function test_what_is_drawn_while_all_is_on(Closure $hung, float $heldMa, float $peakMa): void
    {
        $sketch = $hung(self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('f', 'n', 'bench', 'Feed', more: ['volts' => 5.0]));
        $plan = $sketch->plan();
        $load = (new SupplyTree($plan, self::knowledge()->of($plan)->catalogue))->load($plan->supply($sketch->id('f')));
        self::assertEqualsWithDelta([$heldMa, $peakMa], [$load->heldMa, $load->peakMa], 1e-9);
        self::assertLessThanOrEqual($load->heldMa, $load->typicalMa);
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, float, float}> what hangs on linear 'r' fed from 12 V and on the 5 V pin of a board fed 9 V at VIN: watts of each */
    public static function heats(): iterable
    {
        // (12 − 5) V · 0.64 A, twice and a bit what a tab package sheds; (9 − 5) V · (0.03 + 0.32) A.
        yield 'eight coils behind a regulator' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'relay-bank-8-high', 'Relays', 'r'), 4.48, 0.12];
        yield 'four coils on the pin of a board' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'relay-bank-4-high', 'Relays', FedFrom::Board5V), 0.0, 1.4];
        yield 'two' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'relay-bank-2-high', 'Relays', FedFrom::Board5V), 0.0, 0.76];
        yield 'two that latch' => [static fn (Sketch $s): Sketch => $s->module('m', 'n', 'relay-latching-1', 'Relay', FedFrom::Board5V)->module('o', 'n', 'relay-latching-1', 'Relay', 'r'), 0.014, 0.128];
    }

    /** @param  Closure(Sketch): Sketch  $hung */
    #[DataProvider('heats')]
    public function test_regulators_are_as_hot_as_what_is_held_makes_them(Closure $hung, float $linearW, float $boardW): void
    {
        $sketch = $hung(self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->supply('f', 'n', 'bench', 'Feed', null, FeedsAt::Vin, ['volts' => 9.0])->supply('p', 'n', 'bench', 'Twelve', more: ['volts' => 12.0])->supply('r', 'n', 'linear-5v', 'Regulator', 'p'));
        $plan = $sketch->plan();
        $verdicts = new Verdicts(new SupplyTree($plan, self::knowledge()->of($plan)->catalogue));
        self::assertEqualsWithDelta([$linearW, $boardW], [$verdicts->heatW($plan->supply($sketch->id('r'))), $verdicts->boardHeatW($plan->supply($sketch->id('f')))], 1e-9);
        $hot = array_map(static fn (string $key): bool => self::found($plan, $key) !== [], ['regulator-hot', 'board-regulator-hot']);
        self::assertSame([$linearW > 2.0, $boardW > 1.0], $hot);
    }
}
