<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Power\Fuses;
use Rundfunk\Power\SupplyTree;
use Tests\Core\CoreTestCase;

/** The ratings of fuses for supplies, IEC 60127 (preferred numbers of the series R10, ISO 3); what a cord carries in air, common practice. */
final class FusesTest extends CoreTestCase
{
    public function test_a_fuse_is_the_next_preferred_rating(): void
    {
        $ratings = [0.1, 0.125, 0.16, 0.2, 0.25, 0.315, 0.4, 0.5, 0.63, 0.8, 1.0, 1.25, 1.6, 2.0, 2.5, 3.15, 4.0, 5.0, 6.3, 8.0, 10.0, 12.5, 16.0, 20.0];
        self::assertSame(0.1, Fuses::atLeast(0.0));
        foreach ($ratings as $at => $ampere) {
            self::assertSame($ampere, Fuses::atLeast($ampere));
            self::assertSame($ratings[$at + 1] ?? null, Fuses::atLeast($ampere + 0.001));
        }
    }

    /** @return iterable<string, array{float, float}> square millimetres, amperes */
    public static function cords(): iterable
    {
        yield 'hook-up wire' => [0.14, 0.56];
        yield 'just no cord' => [0.49, 1.96];
        foreach ([[0.5, 3.0], [0.75, 6.0], [1.0, 10.0], [1.5, 16.0], [2.5, 16.0]] as [$mm2, $ampere]) {
            yield "{$mm2} mm²" => [$mm2, $ampere];
        }
        yield 'just below three quarters' => [0.749, 3.0];
        yield 'just below one' => [0.999, 6.0];
        yield 'just below one and a half' => [1.499, 10.0];
    }

    #[DataProvider('cords')]
    public function test_a_core_carries_as_a_cord_in_air(float $mm2, float $ampere): void
    {
        self::assertSame($ampere, Fuses::cordA($mm2));
        // A quarter above the load, and no more than the core carries.
        $loadA = $ampere / 1.25;
        $fuseA = Fuses::between($loadA, $mm2);
        self::assertSame(Fuses::atLeast($ampere) === $ampere ? $ampere : null, $fuseA);
        self::assertNull(Fuses::between($loadA + 0.001, $mm2));
        self::assertSame(Fuses::atLeast($ampere), Fuses::between($loadA, null));
    }

    /**
     * Behind a lead battery of 12 V and 4 A at most: a quarter above what is drawn; a start of ten times (a motor) is held by a slow fuse of a quarter of
     * it; eight amperes at most where no cable is known, for a fault of four must still blow it.
     *
     * @return iterable<string, array{LoadKind, float, float|null, float, float|null, float}> what hangs on it, watts, square millimetres of its cable; the least rating, the one that goes there, the most
     */
    public static function batteries(): iterable
    {
        yield 'two amperes' => [LoadKind::Resistive, 24.0, null, 2.5, 2.5, 8.0];
        yield 'a little more' => [LoadKind::Resistive, 24.1, null, 2.5104, 3.15, 8.0];
        yield 'all that it gives' => [LoadKind::Resistive, 76.8, null, 8.0, 8.0, 8.0];
        yield 'more than a fault would blow' => [LoadKind::Resistive, 76.9, null, 8.0104, null, 8.0];
        yield 'a motor by its start' => [LoadKind::Motor, 12.0, null, 2.5, 2.5, 8.0];
        yield 'a motor whose start no such fuse holds' => [LoadKind::Motor, 60.0, null, 12.5, null, 8.0];
        yield 'behind a cable that bears it' => [LoadKind::Motor, 60.0, 1.5, 12.5, 12.5, INF];
        yield 'behind a thin one' => [LoadKind::Resistive, 24.0, 0.5, 2.5, 2.5, INF];
        yield 'and too thin a one' => [LoadKind::Resistive, 24.1, 0.5, 2.5104, null, INF];
    }

    #[DataProvider('batteries')]
    public function test_behind_a_battery_it_holds_a_start_and_blows_at_a_fault(LoadKind $kind, float $watts, ?float $mm2, float $leastA, ?float $behind, float $mostA): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, null)->supply('b', 'n', 'lead-12v', 'Battery', null, null, $mm2 === null ? [] : ['cableM' => 0.5, 'cableMm2' => $mm2]);
        $plan = $sketch->load('l', 'Load', null, null, $kind, $watts, ['supplyId' => $sketch->id('b'), 'use' => 'always-on'])->plan();
        $tree = new SupplyTree($plan, self::knowledge()->of($plan)->catalogue);
        $battery = $plan->supply($sketch->id('b'));
        self::assertEqualsWithDelta($leastA, Fuses::leastA($tree, $battery), 1e-4);
        self::assertSame($behind, Fuses::behind($tree, $battery));
        self::assertSame($mostA, Fuses::mostA($tree, $battery));
    }

    public function test_what_limits_itself_may_have_any_fuse(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, null)->supply('p', 'n', 'plug-12v-2a', 'Plug');
        $plan = $sketch->plan();
        self::assertSame(INF, Fuses::mostA(new SupplyTree($plan, self::knowledge()->catalogue), $plan->supply($sketch->id('p'))));
    }
}
