<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Power\BatteryHours;
use Rundfunk\Power\SupplyTree;
use Tests\Core\CoreTestCase;

/**
 * What a battery's life is reckoned from, by hand from the catalogue's figures (data sheets of the classes, from memory): an 8-bit board takes 30 mA awake and 15
 * asleep, a larger one 70 and 25; four rechargeable cells hold 2,000 mAh. Half a second awake, and fifty presses a day, are common practice.
 */
final class BatteryHoursTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, array{float, float, float, float, float}|null}> plan; capacity mAh, asleep mA, awake mA, awake ms, period s; null for what has none */
    public static function nodes(): iterable
    {
        $node = static fn (string $sleep, string $board = '8bit-5v-20io', array $battery = []): Closure => static fn (Sketch $s): Sketch => $s
            ->node('n', 'N', NodeKind::Handset, null, $board, ['sleep' => $sleep])->supply('b', 'n', 'nimh-4', 'Cells', null, FeedsAt::FiveVolt, $battery);
        $reads = static fn (Closure $before, int ...$every): Closure => static fn (Sketch $s): Sketch => array_reduce(array_keys($every), static fn (Sketch $s, int $at): Sketch => $s->control("r{$at}", 'n', "Reading {$at}", ControlKind::Reading, settings: ['intervalS' => $every[$at]]), $before($s));

        yield 'always awake' => [$node('never'), [2_000.0, 30.0, 30.0, 0.0, 1.0]];
        yield 'woken by keys: 86,400 s for fifty' => [$node('until-key'), [2_000.0, 15.0, 30.0, 500.0, 1_728.0]];
        yield 'keys wake it, whatever it reads' => [$reads($node('until-key'), 30), [2_000.0, 15.0, 30.0, 500.0, 1_728.0]];
        yield 'asleep between nothing: a minute' => [$node('between'), [2_000.0, 15.0, 30.0, 500.0, 60.0]];
        yield 'between readings' => [$reads($node('between'), 300), [2_000.0, 15.0, 30.0, 500.0, 300.0]];
        yield 'between those that come most often' => [$reads($node('between'), 300, 20, 45), [2_000.0, 15.0, 30.0, 500.0, 20.0]];
        $tells = static fn (Closure $before, int $everyS): Closure => static fn (Sketch $s): Sketch => $before($s)->module('lamp', 'n', 'indicator-lamp', 'Lamp')->output('o', 'n', 'Lamp', OutputKind::Lamp, 'lamp', 'LED')->wire('lamp', 'LED', 'D4')->state('o', 'told', 'Lamp is', settings: ['everyS' => $everyS]);
        yield 'between telling how it stands' => [$tells($node('between'), 25), [2_000.0, 15.0, 33.0, 500.0, 25.0]];
        yield 'told more often than read' => [$tells($reads($node('between'), 300), 25), [2_000.0, 15.0, 33.0, 500.0, 25.0]];
        yield 'every second' => [$tells($node('between'), 1), [2_000.0, 15.0, 33.0, 500.0, 1.0]];
        yield 'told when it changes, which wakes nobody by itself' => [$tells($node('between'), 0), [2_000.0, 15.0, 33.0, 500.0, 60.0]];
        yield 'told when it changes, and read' => [$tells($reads($node('between'), 300), 0), [2_000.0, 15.0, 33.0, 500.0, 300.0]];
        yield 'a switch wakes nobody either' => [static fn (Sketch $s): Sketch => $node('between')($s)->control('k', 'n', 'Key', ControlKind::Button), [2_000.0, 15.0, 30.0, 500.0, 60.0]];
        yield 'no board: nothing sleeps' => [static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, null, ['sleep' => 'between'])->supply('b', 'n', 'nimh-4', 'Cells')->module('c', 'n', 'clock-i2c', 'Clock', 'b'), [2_000.0, 0.0, 0.5, 500.0, 60.0]];
        yield 'a larger board' => [$node('between', '8bit-5v-70io'), [2_000.0, 25.0, 70.0, 500.0, 60.0]];
        yield 'cells of one\'s own' => [$node('between', '8bit-5v-20io', ['capacityMah' => 1_200.0]), [1_200.0, 15.0, 30.0, 500.0, 60.0]];
        yield 'it feeds nothing' => [static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io')->supply('b', 'n', 'nimh-4', 'Cells'), null];
        yield 'no battery' => [static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io')->supply('b', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt), null];
    }

    /**
     * @param  Closure(Sketch): Sketch  $sketch
     * @param  array{float, float, float, float, float}|null  $expected
     */
    #[DataProvider('nodes')]
    public function test_what_its_life_is_reckoned_from(Closure $sketch, ?array $expected): void
    {
        $plan = $sketch(self::sketch())->plan();
        $catalogue = self::knowledge()->catalogue;
        $life = BatteryHours::of($plan, $catalogue, new SupplyTree($plan, $catalogue), $plan->suppliesOf($plan->nodes()[0])[0]);
        self::assertEqualsWithDelta($expected, $life === null ? null : [$life->capacityMah, $life->sleepMa, $life->activeMa, $life->activeMs, $life->periodS], 1e-9);
        if ($life !== null) {
            self::assertSame([90.0, 2.0], [$life->usablePercent, $life->selfDischargePercentMonth]);
        }
    }

    /** 5 V out of 3.7 V at 85 %, and 0.5 mA for the regulator itself, asleep as awake: 15 mA become 24.35, 30 become 48.19. */
    public function test_what_its_regulator_takes_counts_asleep_too(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io', ['sleep' => 'between'])->supply('b', 'n', 'li-ion-cell', 'Cell')->supply('up', 'n', 'boost-5v', 'Up', 'b', FeedsAt::FiveVolt)->plan();
        $catalogue = self::knowledge()->catalogue;
        $life = BatteryHours::of($plan, $catalogue, new SupplyTree($plan, $catalogue), $plan->suppliesOf($plan->nodes()[0])[0]);
        self::assertNotNull($life);
        self::assertEqualsWithDelta([15 * 5 / 3.7 / 0.85 + 0.5, 30 * 5 / 3.7 / 0.85 + 0.5], [$life->sleepMa, $life->activeMa], 1e-6);
    }

    /** 1.5 mA of a 32-bit board asleep and 0.01 of its 3.3 V regulator, which the one before it draws as 5 / 3.7 / 0.85 times so much and 0.5 more; what charges the cell takes nothing from it. */
    public function test_every_regulator_between_counts_and_none_above(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Handset, null, '32bit-3v3-26io', ['sleep' => 'between'])
            ->supply('above', 'n', 'boost-5v', 'Above')->supply('b', 'n', 'li-ion-cell', 'Cell', 'above')
            ->supply('up', 'n', 'boost-5v', 'Up', 'b')->supply('down', 'n', 'low-drop-3v3', 'Down', 'up', FeedsAt::ThreeVolt)->plan();
        $catalogue = self::knowledge()->catalogue;
        $life = BatteryHours::of($plan, $catalogue, new SupplyTree($plan, $catalogue), $plan->supply(self::sketch()->id('b')));
        self::assertEqualsWithDelta((1.5 + 0.01) * 5 / 3.7 / 0.85 + 0.5, $life?->sleepMa, 1e-6);
    }
}
