<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Electrical\UartDivider;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

final class BurstDroopTest extends CoreTestCase
{
    /** @return iterable<string, array{float, float, float, float}> source Ω, µF, ESR Ω */
    public static function supplies(): iterable
    {
        yield 'a weak source' => [1.0, 2200, 0.0, 3.474];
        yield 'a stiff source' => [0.2, 2200, 0.0, 3.703];
        yield 'a capacitor with resistance' => [0.5, 1000, 0.1, 3.314];
    }

    #[DataProvider('supplies')]
    public function test_a_circuit_simulator_finds_the_same_sag(float $sourceOhm, float $uf, float $esrOhm, float $steadyV): void
    {
        $droop = new BurstDroop(4.0, $sourceOhm, $uf / 1e6, $esrOhm, 2.0, 577e-6, 4615e-6);
        $circuit = tempnam(sys_get_temp_dir(), 'droop');
        $esr = max($esrOhm, 1e-6);
        file_put_contents($circuit, <<<CIR
            droop
            v1 1 0 4
            r1 1 2 {$sourceOhm}
            r2 2 3 {$esr}
            c1 3 0 {$uf}u ic=4
            i1 2 0 pulse(0 2 0 1n 1n 577u 4615u)
            .tran 1u 60m 0 2u uic
            .control
            run
            meas tran first min v(2) from=0 to=4m
            meas tran steady min v(2) from=50m to=60m
            quit 0
            .endc
            .end
            CIR);
        $process = new Process(['ngspice', '-b', $circuit], timeout: 60);
        $process->mustRun();
        unlink($circuit);
        preg_match_all('/^(first|steady)\s*=\s*([0-9.e+-]+)/m', $process->getOutput(), $found);
        self::assertEqualsWithDelta((float) $found[2][0], $droop->firstV(), 0.003);
        self::assertEqualsWithDelta((float) $found[2][1], $droop->steadyV(), 0.003);
        self::assertEqualsWithDelta($steadyV, $droop->steadyV(), 0.02);
    }

    public function test_more_capacitor_and_a_stiffer_source_never_sag_more(): void
    {
        $least = 0.0;
        foreach ([470, 1000, 2200, 4700, 10_000] as $uf) {
            $steady = (new BurstDroop(4.0, 0.5, $uf / 1e6, 0.05, 2.0, 577e-6, 4615e-6))->steadyV();
            self::assertGreaterThan($least, $steady);
            $least = $steady;
        }
    }

    /** @return iterable<string, array{float, int, float, float}> MHz, baud, per cent at normal and at double speed */
    public static function rates(): iterable
    {
        // Data sheet of the class, from memory; the arithmetic is a division.
        yield '9600 at 16 MHz' => [16, 9600, 0.16, 0.16];
        yield '57600 at 16 MHz' => [16, 57600, 2.12, -0.79];
        yield '115200 at 16 MHz' => [16, 115200, -3.55, 2.12];
        yield '38400 at 8 MHz' => [8, 38400, 0.16, 0.16];
        yield '57600 at 8 MHz' => [8, 57600, -3.55, 2.12];
        yield '115200 at 8 MHz' => [8, 115200, 8.51, -3.55];
    }

    #[DataProvider('rates')]
    public function test_a_serial_rate_is_so_far_off(float $mhz, int $baud, float $normal, float $double): void
    {
        self::assertEqualsWithDelta($normal, 100 * UartDivider::at($mhz, $baud, 16), 0.006);
        self::assertEqualsWithDelta($double, 100 * UartDivider::at($mhz, $baud, 8), 0.006);
        self::assertEqualsWithDelta(min(abs($normal), abs($double)), abs(100 * UartDivider::error($mhz, $baud)), 0.006);
    }
}
