<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\TestCase;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Electrical\LinearRegulator;

/** Worked examples of the trade book, section 13: Ohm's law, and what sheets of the classes say, from memory. */
final class WorkedExamplesTest extends TestCase
{
    public function test_a_coil_of_72_ma_from_a_pin_of_five_volts_and_of_three(): void
    {
        // 4.2 V at rated current: (4.2 − 0.7) V / (72 mA / 15) = 729 Ω, E24 down 680, which lets 5.15 mA through.
        $five = new BaseResistor(4.2, 72.0);
        self::assertEqualsWithDelta(729.2, $five->maximumOhm() ?? 0.0, 0.1);
        self::assertSame(680.0, $five->chosenOhm());
        self::assertEqualsWithDelta(5.147, $five->baseMa() ?? 0.0, 0.001);
        // 2.64 V: 404 Ω, 390, 4.97 mA: too much for a pin of 4 mA, where a MOSFET belongs.
        $three = new BaseResistor(2.64, 72.0);
        self::assertEqualsWithDelta(404.2, $three->maximumOhm() ?? 0.0, 0.1);
        self::assertSame(390.0, $three->chosenOhm());
        self::assertEqualsWithDelta(4.974, $three->baseMa() ?? 0.0, 0.001);
        // A pin that gives no more than the base wants drives nothing.
        $none = new BaseResistor(0.7, 72.0);
        self::assertSame([null, null, null], [$none->maximumOhm(), $none->chosenOhm(), $none->baseMa()]);
    }

    public function test_a_linear_regulator_at_its_drop_out_and_what_it_sheds(): void
    {
        self::assertTrue((new LinearRegulator(7.0, 5.0, 0.1, 2.0))->works());
        self::assertFalse((new LinearRegulator(6.99, 5.0, 0.1, 2.0))->works());
        // (5 − 3.3) V · 0.8 A = 1.36 W, and 66 per cent of what comes in goes out.
        $adapter = new LinearRegulator(5.0, 3.3, 0.8, 1.2);
        self::assertEqualsWithDelta(1.36, $adapter->heatW(), 1e-9);
        self::assertEqualsWithDelta(66.0, $adapter->efficiencyPercent(), 1e-9);
        // What does not work sheds nothing that could be said.
        self::assertGreaterThanOrEqual(0.0, (new LinearRegulator(3.0, 3.3, 0.8, 1.2))->heatW());
    }
}
