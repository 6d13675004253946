<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Electrical\ESeries;
use Rundfunk\Electrical\LedResistor;
use Rundfunk\OutOfRange;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

final class LedResistorTest extends CoreTestCase
{
    /** @return iterable<string, array{float, float}> */
    public static function values(): iterable
    {
        // IEC 60063, series E24: the next value up.
        foreach ([[36.5, 39], [39, 39], [39.01, 43], [23, 24], [1, 1], [9.2, 10], [91, 91], [91.1, 100], [990, 1000], [4_650, 4_700], [0.95, 1]] as [$exact, $chosen]) {
            yield "{$exact} Ω" => [(float) $exact, (float) $chosen];
        }
    }

    #[DataProvider('values')]
    public function test_the_next_value_up_is_chosen(float $exact, float $chosen): void
    {
        self::assertEqualsWithDelta($chosen, ESeries::E24->up($exact), 1e-9);
    }

    public function test_a_circuit_simulator_finds_the_same_current_and_heat(): void
    {
        // A diode that always takes 1.35 V is a source of 1.35 V.
        $circuit = tempnam(sys_get_temp_dir(), 'led');
        file_put_contents($circuit, "led\nv1 1 0 5\nr1 1 2 39\nv2 2 0 1.35\n.control\nop\nprint -i(v1)\nprint (v(1)-v(2))*(-i(v1))\nquit 0\n.endc\n.end\n");
        $process = new Process(['ngspice', '-b', $circuit], timeout: 30);
        $process->mustRun();
        unlink($circuit);
        preg_match_all('/= ([0-9.]+e[+-][0-9]+)/', $process->getOutput(), $found);
        $resistor = new LedResistor(5, 1.35, 100);
        self::assertEqualsWithDelta((float) $found[1][0] * 1000, $resistor->actualMa(), 0.001);
        self::assertEqualsWithDelta((float) $found[1][1] * 1000, $resistor->powerMw(), 0.01);
    }

    public function test_a_supply_below_what_the_diodes_need_is_refused(): void
    {
        $this->expectException(OutOfRange::class);
        $this->expectExceptionMessage('supply_v must be above the 5.4 V');
        new LedResistor(5, 1.35, 100, 4);
    }
}
