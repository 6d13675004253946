<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Pins\Step\ChannelStep;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

/** Which channel of which module each control and output gets, and why. Classes: a soil sensor reads %, of the climate sensor °C and % come over one wire, of one-wire thermometers only °C. */
final class ChannelStepTest extends CoreTestCase
{
    private const FITS = 'The first free one of the right kind.';

    private const FIRST = 'The first sensor that is free.';

    private const CELSIUS = 'It measures °C.';

    private const PERCENT = 'It measures %.';

    /** @return iterable<string, array{Closure(Sketch): Sketch, array<string, array{string, string}>}> plan, where each goes and why, by name */
    public static function nodes(): iterable
    {
        $has = static fn (Sketch $s, string ...$classes): Sketch => array_reduce(array_keys($classes), static fn (Sketch $s, int $at): Sketch => $s->module("m{$at}", 'n', "sensor-{$classes[$at]}", "S{$at}"), $s->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io'));
        $reads = static fn (Sketch $s, string $name, ?string $unit, ?string $module = null): Sketch => $s->control($name, 'n', $name, ControlKind::Reading, $module, $module === null ? null : 'DATA', $unit === null ? [] : ['unit' => $unit]);

        yield 'the first that measures it, not the first there is' => [static fn (Sketch $s): Sketch => $reads($has($s, 'soil', 'climate', 'temperature'), 'Warm', '°C'), ['Warm' => ['S1 DATA', self::CELSIUS]]];
        yield 'one each, while there are enough' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'climate', 'temperature'), 'One', '°C'), 'Two', '°C'), ['One' => ['S0 DATA', self::CELSIUS], 'Two' => ['S1 DATA', self::CELSIUS]]];
        yield 'two of one sensor' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'climate'), 'Wet', '%'), 'Warm', '°C'), ['Wet' => ['S0 DATA', self::PERCENT], 'Warm' => ['S0 DATA', self::CELSIUS]]];
        yield 'more than there are share' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'temperature'), 'One', '°C'), 'Two', '°C'), ['One' => ['S0 DATA', self::CELSIUS], 'Two' => ['S0 DATA', self::CELSIUS]]];
        yield 'one that is the only one' => [static fn (Sketch $s): Sketch => $reads($has($s, 'soil'), 'One', '%'), ['One' => ['S0 OUT', self::PERCENT]]];
        yield 'more than one that shares nothing' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'soil'), 'One', '%'), 'Two', '%'), []];
        yield 'one that is read already, where no other measures it' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'temperature', 'soil'), 'One', '°C', 'm0'), 'Two', '°C'), ['Two' => ['S0 DATA', self::CELSIUS]]];
        yield 'one that nobody reads before it' => [static fn (Sketch $s): Sketch => $reads($reads($has($s, 'temperature', 'climate'), 'One', '°C', 'm0'), 'Two', '°C'), ['Two' => ['S1 DATA', self::CELSIUS]]];
        yield 'none that measures it' => [static fn (Sketch $s): Sketch => $reads($has($s, 'temperature'), 'Wet', '%'), ['Wet' => ['S0 DATA', self::FIRST]]];
        yield 'of nobody knows what' => [static fn (Sketch $s): Sketch => $reads($has($s, 'temperature', 'soil'), 'Thing', null), ['Thing' => ['S0 DATA', self::FIRST]]];
        yield 'the other of another node' => [static fn (Sketch $s): Sketch => $reads($has($s), 'Warm', '°C')->node('o', 'O', NodeKind::Controller, null, '32bit-3v3-26io')->module('far', 'o', 'sensor-temperature', 'Far'), []];
        yield 'a wire that no pin of the board reads' => [static fn (Sketch $s): Sketch => $reads($s->node('n', 'N', NodeKind::Controller, null, 'computer-40pin')->module('m', 'n', 'sensor-soil', 'Soil'), 'Wet', '%'), []];

        $key = static fn (Sketch $s, string $name, ?string $terminal = null, ControlKind $kind = ControlKind::Button): Sketch => $s->control($name, 'n', $name, $kind, $terminal === null ? null : 'pad', $terminal);
        $pad = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('pad', 'n', 'button-pad-2', 'Pad');
        yield 'keys one after the other' => [static fn (Sketch $s): Sketch => $key($key($pad($s), 'A'), 'B'), ['A' => ['Pad K1', self::FITS], 'B' => ['Pad K2', self::FITS]]];
        yield 'a key round one that stays' => [static fn (Sketch $s): Sketch => $key($key($pad($s), 'A', 'K1'), 'B'), ['B' => ['Pad K2', self::FITS]]];
        yield 'two on one key' => [static fn (Sketch $s): Sketch => $key($key($pad($s), 'A', 'K1'), 'B', 'K1'), ['B' => ['Pad K2', 'K1 cannot stay: it is taken, or of another kind.']]];
        yield 'more than there are wait' => [static fn (Sketch $s): Sketch => $key($key($key($pad($s), 'A', 'K1'), 'B', 'K2'), 'C'), []];
        yield 'what fits nowhere keeps its channel from others' => [static fn (Sketch $s): Sketch => $key($key($pad($s), 'Warm', 'K1', ControlKind::Reading), 'B'), ['B' => ['Pad K2', self::FITS]]];

        $lamp = static fn (Sketch $s, string $name, OutputKind $kind = OutputKind::Relay, ?string $module = null, ?string $channel = null): Sketch => $s->output($name, 'n', $name, $kind, $module, $channel);
        $bank = static fn (Sketch $s): Sketch => $s->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('b', 'n', 'relay-bank-2-high', 'Bank');
        yield 'lamps one after the other' => [static fn (Sketch $s): Sketch => $lamp($lamp($bank($s), 'A'), 'B'), ['A' => ['Bank IN1', self::FITS], 'B' => ['Bank IN2', self::FITS]]];
        yield 'a lamp on what only keys have' => [static fn (Sketch $s): Sketch => $lamp($pad($s), 'A'), []];
        yield 'a lamp that a bank of another node has' => [static fn (Sketch $s): Sketch => $lamp($bank($s)->node('o', 'O', NodeKind::Controller, null, '32bit-3v3-26io')->module('far', 'o', 'relay-bank-1-high', 'Far'), 'A', module: 'far', channel: 'IN1'), ['A' => ['Bank IN1', 'IN1 cannot stay: it is taken, or of another kind.']]];
        yield 'a strip is no lamp' => [static fn (Sketch $s): Sketch => $lamp($bank($s)->module('l', 'n', 'strip-pixels', 'Strip'), 'Stairs', OutputKind::Strip), ['Stairs' => ['Strip DIN', self::FITS]]];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  array<string, array{string, string}>  $expected
     */
    #[DataProvider('nodes')]
    public function test_each_goes_where_it_fits_and_says_why(Closure $draw, array $expected): void
    {
        $sketch = $draw(self::sketch());
        $plan = $sketch->plan();
        $placed = [];
        foreach ((new ChannelStep)->placements($plan, $plan->node($sketch->id('n')), self::knowledge()->catalogue) as $proposal) {
            $placed[explode(' · ', $proposal->what)[1]] = [$proposal->after, $proposal->reason];
        }
        self::assertSame($expected, $placed);
    }
}
