<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Burst;
use Rundfunk\Power\SupplyTree;
use Tests\Core\CoreTestCase;

/**
 * What a modem that draws in bursts is put on. What comes of it is {@see BurstDroop}, which is held to ngspice; a 2G modem takes 2 A
 * for 577 µs every 4,615 (3GPP TS 45.001: one of eight slots of a frame).
 */
final class BurstTest extends CoreTestCase
{
    private static function fed(float $volts = 4.0, string $class = 'modem-2g'): Sketch
    {
        return self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')
            ->supply('s', 'n', 'bench', 'Bench', null, null, ['volts' => $volts, 'sourceOhm' => 0.3])
            ->module('m', 'n', $class, 'Modem', 's');
    }

    /** @param  array<string, float>  $more */
    private static function capacitor(Sketch $sketch, float $microfarads, array $more = [], string $number = ''): Sketch
    {
        return $sketch->part('m', 'VBAT', PartKind::Capacitor, ['microfarads' => $microfarads, ...$more], $number);
    }

    private static function of(Plan $plan): ?Burst
    {
        return Burst::of(new SupplyTree($plan, self::knowledge()->catalogue), $plan->modules()[0]);
    }

    private static function droop(float $microfarads, float $esrOhm): BurstDroop
    {
        return new BurstDroop(4.0, 0.3, $microfarads / 1e6, $esrOhm, 2.0, 0.000_577, 0.004_615);
    }

    public function test_only_what_bursts_on_a_known_supply_does(): void
    {
        self::assertNotNull(self::of(self::fed(0.1)->plan()));
        self::assertNull(self::of(self::fed(class: 'modem-lte-eu')->plan()));
        self::assertNull(self::of(self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('m', 'n', 'modem-2g', 'Modem')->plan()));
    }

    public function test_capacitors_side_by_side_hold_as_one(): void
    {
        self::assertNull(self::of(self::fed()->plan())?->droop());
        $one = self::capacitor(self::fed(), 1_000.0, ['esrOhm' => 0.1]);
        self::assertEquals(self::droop(1_000.0, 0.1), self::of($one->plan())?->droop());
        // 0.1 Ω beside 0.3: 75 mΩ.
        $two = self::capacitor($one, 500.0, ['esrOhm' => 0.3], ' again');
        $droop = self::of($two->plan())?->droop();
        self::assertNotNull($droop);
        self::assertEqualsWithDelta([0.001_5, 0.075], [$droop->capacitorF, $droop->esrOhm], 1e-12);
        // One without any takes the rest along.
        self::assertEquals(self::droop(1_600.0, 0.0), self::of(self::capacitor($two, 100.0, ['esrOhm' => 0.0], ' third')->plan())?->droop());
        self::assertEquals(self::droop(0.001, 0.05), self::of(self::capacitor(self::fed(), 0.000_5)->plan())?->droop(), 'what is next to nothing is taken for a nanofarad');
    }

    public function test_the_smallest_that_is_sold_and_holds_is_enough(): void
    {
        $burst = self::of(self::fed()->plan());
        self::assertNotNull($burst);
        $sold = [470.0, 1_000.0, 2_200.0, 3_300.0, 4_700.0, 6_800.0, 10_000.0];
        foreach ($sold as $at => $microfarads) {
            $holdsV = self::droop($microfarads, 0.05)->steadyV();
            self::assertSame($microfarads, $burst->enoughUf($holdsV));
            self::assertSame($sold[$at + 1] ?? null, $burst->enoughUf($holdsV + 1e-9));
        }
    }

    public function test_it_is_put_in_the_place_of_whatever_is_there(): void
    {
        foreach ([self::fed(), self::capacitor(self::fed(), 100.0, ['esrOhm' => 1.0]), self::capacitor(self::capacitor(self::fed(), 100.0, ['esrOhm' => 1.0]), 47.0, [], ' again')] as $sketch) {
            $plan = $sketch->plan();
            $with = (new Editor(self::knowledge()))->apply($plan, self::of($plan)?->with($plan, 2_200.0) ?? [])->plan;
            self::assertSame([['VBAT', PartKind::Capacitor, 2_200.0, 0.05]], array_map(static fn (Part $part): array => [$part->terminal, $part->kind, $part->microfarads, $part->esrOhm], $with->partsOf($with->modules()[0])));
        }
    }
}
