<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\Between;
use Symfony\Component\Process\Process;

/** What resistors leave of a level, against ngspice's operating point of the same circuit. */
final class BetweenTest extends TestCase
{
    /** @return iterable<string, array{float, float, list<array{PartKind, float, float|null}>}> volts given, ohms they come through, parts; what pulls up does so to 5 V */
    public static function wires(): iterable
    {
        yield 'a divider' => [5.0, 0.0, [[PartKind::Divider, 1000.0, 1200.0]]];
        yield 'behind a resistor of its own' => [5.0, 30_000.0, [[PartKind::Divider, 1000.0, 56_000.0]]];
        yield 'in series, pulled down' => [3.3, 0.0, [[PartKind::SeriesResistor, 4700.0, null], [PartKind::PullDown, 10_000.0, null]]];
        yield 'a low in series, pulled up' => [0.1, 0.0, [[PartKind::SeriesResistor, 4700.0, null], [PartKind::PullUp, 10_000.0, null]]];
        yield 'pulled both ways, twice' => [0.4, 1500.0, [[PartKind::PullUp, 10_000.0, null], [PartKind::PullUp, 4700.0, null], [PartKind::PullDown, 22_000.0, null]]];
        yield 'everything' => [3.0, 1500.0, [[PartKind::SeriesResistor, 330.0, null], [PartKind::PullUp, 10_000.0, null], [PartKind::PullDown, 47_000.0, null], [PartKind::Divider, 2200.0, 3300.0]]];
    }

    /** @param  list<array{PartKind, float, float|null}>  $parts */
    #[DataProvider('wires')]
    public function test_both_ends_are_where_ngspice_puts_them(float $givenV, float $sourceOhm, array $parts): void
    {
        $between = self::between($parts);
        // Heard: the source is at the terminal with the pulls, the pin behind what is in series. Told: the other way about.
        self::assertEqualsWithDelta(self::operatingPoint($givenV, $sourceOhm, $parts, false), $between->atPinV($givenV, $sourceOhm, 5.0), 1e-4);
        self::assertEqualsWithDelta(self::operatingPoint($givenV, 0.0, $parts, true), $between->atTerminalV($givenV, 5.0), 1e-4);
    }

    /** @return iterable<string, array{list<array{PartKind, float, float|null}>, float|null, string}> parts, ohms in the pin, the same for ngspice: p is the pin, t the terminal */
    public static function contacts(): iterable
    {
        yield 'in series, pulled down' => [[[PartKind::SeriesResistor, 10_000.0, null], [PartKind::PullDown, 22_000.0, null]], 35_000.0, "r1 r p 35000\nr2 p t 10000\nr3 t 0 22000\n"];
        yield 'pulled up at the terminal alone' => [[[PartKind::PullUp, 4_700.0, null]], null, "r1 r t 4700\nr2 p t 1m\n"];
        yield 'pulled both ways, and behind a divider' => [[[PartKind::PullUp, 10_000.0, null], [PartKind::PullDown, 47_000.0, null], [PartKind::Divider, 2_200.0, 33_000.0]], 35_000.0, "r1 r p 35000\nr2 r t 10000\nr3 t 0 47000\nr4 p t 2200\nr5 p 0 33000\n"];
        yield 'nothing but the pin' => [[], 35_000.0, "r1 r p 35000\nr2 p t 1m\n"];
    }

    /** @param  list<array{PartKind, float, float|null}>  $parts */
    #[DataProvider('contacts')]
    public function test_a_contact_to_ground_is_where_ngspice_puts_it(array $parts, ?float $pinOhm, string $circuit): void
    {
        $between = self::between($parts);
        self::assertEqualsWithDelta(self::spice("v1 r 0 3.3\n{$circuit}rs t 0 1m\n", 'p'), $between->atPinOfContactV(true, 3.3, $pinOhm), 2e-4);
        self::assertEqualsWithDelta(self::spice("v1 r 0 3.3\n{$circuit}rs t 0 1e12\n", 'p'), $between->atPinOfContactV(false, 3.3, $pinOhm), 2e-4);
    }

    public function test_what_does_not_say_its_value_is_none(): void
    {
        $between = Between::of([
            new Part('A', 'M', 'T', PartKind::SeriesResistor), new Part('B', 'M', 'T', PartKind::PullUp), new Part('C', 'M', 'T', PartKind::Divider, 1_000.0), new Part('D', 'M', 'T', PartKind::Capacitor),
            new Part('E', 'M', 'T', PartKind::Shifter), new Part('F', 'M', 'T', PartKind::Driver, 1_000.0),
        ]);
        self::assertEquals([0, null, null, null, 0], [$between->seriesOhm, $between->lowerOhm, $between->upOhm, $between->downOhm, $between->microfarads]);
        $two = Between::of([new Part('A', 'M', 'T', PartKind::Capacitor, microfarads: 0.1), new Part('B', 'M', 'T', PartKind::Capacitor, microfarads: 0.2), new Part('C', 'M', 'T', PartKind::PullUp, 10_000.0), new Part('D', 'M', 'T', PartKind::PullUp, 10_000.0)]);
        self::assertEqualsWithDelta([0.3, 5_000.0], [$two->microfarads, $two->upOhm], 1e-9);
    }

    /** @param  list<array{PartKind, float, float|null}>  $parts */
    private static function between(array $parts): Between
    {
        return Between::of(array_map(static fn (array $part): Part => new Part('P', 'M', 'T', $part[0], $part[1], $part[2]), $parts));
    }

    /** @param  list<array{PartKind, float, float|null}>  $parts */
    private static function operatingPoint(float $givenV, float $sourceOhm, array $parts, bool $told): float
    {
        // g gives; m is where the pulls are, e the end that hears.
        $middle = $told ? 'e' : 'm';
        $series = array_sum(array_map(static fn (array $part): float => in_array($part[0], [PartKind::SeriesResistor, PartKind::Divider], true) ? $part[1] : 0.0, $parts));
        $circuit = "v1 g 0 {$givenV}\nv2 r 0 5\nrs g ".($told ? 'n' : 'm').' '.max($sourceOhm, 1e-6)."\nrw ".($told ? 'n' : 'm').' e '.max($series, 1e-6)."\nrleak e 0 1e12\n";
        foreach ($parts as $index => [$kind, $ohms, $lower]) {
            $circuit .= match ($kind) {
                PartKind::PullUp => "rp{$index} r {$middle} {$ohms}\n",
                PartKind::PullDown => "rp{$index} {$middle} 0 {$ohms}\n",
                PartKind::Divider => "rp{$index} e 0 {$lower}\n",
                default => '',
            };
        }

        return self::spice($circuit, 'e');
    }

    private static function spice(string $circuit, string $node): float
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'wire');
        file_put_contents($file, "wire\n{$circuit}.control\nop\nprint v({$node})\nquit 0\n.endc\n.end\n");
        $process = new Process(['ngspice', '-b', $file], timeout: 30);
        $process->mustRun();
        unlink($file);
        self::assertSame(1, preg_match('/= ([0-9.]+e[+-][0-9]+)/', $process->getOutput(), $found));

        return (float) $found[1];
    }
}
