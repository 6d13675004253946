<?php

declare(strict_types=1);

namespace Tests\Core\Electrical;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Electrical\CopperPair;
use Rundfunk\Electrical\Divider;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Wires and dividers against programs of others: GNU units for the gauge, ngspice for the circuit (Debian 12). */
final class WireOracleTest extends CoreTestCase
{
    /** @return iterable<string, array{int}> */
    public static function gauges(): iterable
    {
        foreach ([0, 4, 10, 14, 18, 20, 22, 24, 26, 28, 30, 36, 40] as $awg) {
            yield "AWG {$awg}" => [$awg];
        }
    }

    #[DataProvider('gauges')]
    public function test_a_gauge_is_as_thick_as_units_says(int $awg): void
    {
        $process = new Process(['units', '-t', "wiregauge({$awg})", 'mm']);
        $process->mustRun();
        $diameterMm = (float) $process->getOutput();
        self::assertEqualsWithDelta(M_PI / 4 * $diameterMm ** 2, CopperPair::awg($awg, 1.0)->areaMm2, 1e-4 * $diameterMm ** 2);
    }

    public function test_a_cable_and_a_divider_give_what_the_circuit_does(): void
    {
        $cases = [];
        $netlist = ['* cables with a load, dividers without'];
        foreach ([[12.0, 22, 10.0, 1.0], [5.0, 24, 3.0, 0.5], [12.0, 18, 25.0, 2.0]] as $index => [$volts, $awg, $length, $ampere]) {
            $ohm = CopperPair::awg($awg, $length)->loopOhm();
            $netlist[] = "V{$index} a{$index} 0 {$volts}";
            $netlist[] = sprintf("R{$index} a{$index} b{$index} %.9f", $ohm);
            $netlist[] = "I{$index} b{$index} 0 {$ampere}";
            $cases["b{$index}"] = $volts - CopperPair::awg($awg, $length)->dropV($ampere);
        }
        foreach ([[5.0, 1000, 1200], [5.0, 1000, 2000], [3.3, 1000, 5600], [5.0, 1000, 1800]] as $index => [$volts, $upper, $lower]) {
            $netlist[] = "VD{$index} c{$index} 0 {$volts}";
            $netlist[] = "RU{$index} c{$index} d{$index} {$upper}";
            $netlist[] = "RL{$index} d{$index} 0 {$lower}";
            $cases["d{$index}"] = (new Divider($volts, $upper, $lower))->voutV();
        }
        $file = tempnam(sys_get_temp_dir(), 'wire');
        self::assertNotFalse($file);
        file_put_contents($file, implode("\n", [...$netlist, '.op', '.control', 'run', 'set numdgt=9', ...array_map(static fn (string $node): string => "print v({$node})", array_keys($cases)), 'quit 0', '.endc', '.end', '']));
        $process = new Process(['ngspice', '-b', $file], timeout: 30);
        $process->mustRun();
        unlink($file);
        foreach ($cases as $node => $volts) {
            self::assertSame(1, preg_match('/v\('.$node.'\) = (\S+)/', $process->getOutput(), $match), $node);
            self::assertEqualsWithDelta((float) $match[1], $volts, 1e-5, $node);
        }
    }
}
