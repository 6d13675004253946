<?php

declare(strict_types=1);

namespace Tests\Core\Cables;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\WiringRow;
use Rundfunk\Build\WiringTable;
use Rundfunk\Cables\CableRun;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Look;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Cables: what goes through them, where it crosses, and when they run out. */
final class CablesTest extends CoreTestCase
{
    /**
     * @param  array<string, bool|float|int|string|null>  $link
     * @param  array<string, mixed>  $cable
     * @param  list<array{core: int, use: string, link?: string, supply?: string}>  $uses
     */
    private static function laid(array $link, int $nodes = 2, array $cable = [], array $uses = []): Sketch
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['lengthM' => 1.0, 'timeoutMs' => 200, ...$link]);
        for ($number = 1; $number <= $nodes; $number++) {
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, '8bit-5v-70io')
                ->module("w{$number}", "n{$number}", match ($link['levels'] ?? 'logic') {
                    'rs-485' => 'rs485-5v', 'rs-232' => 'rs232-converter', default => 'serial-wire'
                }, 'Port', FedFrom::Board5V)->join('l', "n{$number}", Role::Both, "w{$number}", ['station' => $number, 'asks' => $number === 1]);
        }

        return $sketch->cable('c', 'n1', 'n2', 'Cable', $cable, $uses);
    }

    /** @return iterable<string, array{array<string, bool|float|int|string|null>, int, list<string>, list<string>}> link, nodes, cores of the first cable, cores of the second */
    public static function lines(): iterable
    {
        // What speaks goes to what hears: between two it crosses, once. TIA-232; common practice.
        yield 'two' => [[], 2, ['1 TX–RX crosses', '2 RX–TX crosses', '3 GND–GND'], []];
        yield 'RS-232' => [['levels' => 'rs-232'], 2, ['1 TX–RX crosses', '2 RX–TX crosses', '3 GND–GND'], []];
        // On a pair A goes to A everywhere. TIA-485.
        yield 'RS-485' => [['levels' => 'rs-485', 'topology' => 'polled'], 3, ['1 A–A straight', '2 B–B straight', '3 GND–GND'], ['1 A–A straight', '2 B–B straight', '3 GND–GND']];
        // It crosses where the asker is, and from box to box it must not.
        yield 'one asks at logic levels' => [['topology' => 'polled', 'returning' => 'let-go'], 3, ['1 TX–RX crosses', '2 RX–TX crosses', '3 GND–GND'], ['1 RX–RX straight', '2 TX–TX straight', '3 GND–GND']];
        yield 'a ring' => [['topology' => 'ring'], 3, ['1 TX–RX crosses', '2 GND–GND'], ['1 TX–RX crosses', '2 GND–GND']];
    }

    /**
     * @param  array<string, bool|float|int|string|null>  $link
     * @param  list<string>  $first
     * @param  list<string>  $second
     */
    #[DataProvider('lines')]
    public function test_each_wire_is_there_once_and_crosses_where_it_must(array $link, int $nodes, array $first, array $second): void
    {
        $sketch = self::laid($link, $nodes);
        if ($second !== []) {
            $sketch->cable('c2', 'n2', 'n3', 'Next', ['twisted' => true]);
        }
        $plan = $sketch->assigned();
        foreach (['c' => $first, 'c2' => $second] as $key => $expected) {
            $cable = $plan->find(Cable::kind(), $sketch->id($key));
            if ($expected !== []) {
                self::assertInstanceOf(Cable::class, $cable);
                self::assertSame($expected, self::cores($plan, $cable));
            }
        }
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    /** @return list<string> */
    private static function cores(Plan $plan, Cable $cable): array
    {
        $run = CableRun::of(new Look($plan, self::knowledge()), $cable);

        return array_map(static function (CableCore $core) use ($run): string {
            $want = $run->wantOf($core);

            return rtrim("{$core->core} {$want?->atFrom}–{$want?->atTo} ".match ($want?->crosses) {
                true => 'crosses', false => 'straight', null => ''
            });
        }, $cable->uses);
    }

    /** @param  array<string, bool|float|int|string|null>  $link */
    #[DataProvider('lines')]
    public function test_both_tables_say_the_same_wire_and_cross_once(array $link, int $nodes): void
    {
        foreach ([true, false] as $isLaid) {
            $sketch = self::laid($link, $nodes);
            $plan = $isLaid ? $sketch->assigned() : $sketch->plan();
            if (! $isLaid) {
                $draft = $plan->draft();
                foreach ($plan->of(Cable::class) as $cable) {
                    $draft->drop($cable);
                }
                $plan = $draft->plan();
            }
            [$one, $other] = $plan->nodes();
            $wires = static fn (Plan $plan, $node, string $far): array => array_values(array_filter(WiringTable::of($plan, $node, self::knowledge())->rows, static fn (WiringRow $row): bool => str_contains($row->note, "of {$far}") && (str_contains($row->note, 'cross') || str_contains($row->note, 'straight'))));
            $here = $wires($plan, $one, $other->name);
            $there = $wires($plan, $other, $one->name);
            self::assertNotSame([], $here);
            self::assertSameSize($here, $there);
            $ends = static fn (WiringRow $row): array => [preg_match('/^(?:core \d+)$/', $row->terminal) === 1 ? explode(' ', $row->pin)[0] : $row->terminal, (string) preg_replace('/^To (\S+) of.*$/', '$1', $row->note)];
            $mirrored = array_map(static fn (array $pair): array => [$pair[1], $pair[0]], array_map($ends, $there));
            $straight = array_map($ends, $here);
            sort($mirrored);
            sort($straight);
            self::assertSame($straight, $mirrored);
        }
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> */
    public static function cases(): iterable
    {
        $two = [['core' => 1, 'use' => 'forward', 'link' => 'l'], ['core' => 2, 'use' => 'back', 'link' => 'l'], ['core' => 3, 'use' => 'ground']];
        yield 'all there' => ['cable-cores-run-out', static fn () => self::laid([], 2, [], $two), []];
        yield 'no ground' => ['cable-cores-run-out', static fn () => self::laid([], 2, [], array_slice($two, 0, 2)), ['No core of Cable is for GND']];
        yield 'two cores' => ['cable-cores-run-out', static fn () => self::laid([], 2, ['cores' => 2], array_slice($two, 0, 2)), ['Cable has 2 cores and wants 3']];
        yield 'one core more by a second cable' => ['cable-cores-run-out', static fn () => self::laid([], 2, [], array_slice($two, 0, 2))->cable('c2', 'n1', 'n2', 'Second', [], [['core' => 1, 'use' => 'ground']]), ['No core of Cable is for GND']];
        yield 'a core twice' => ['cable-core-twice', static fn () => self::laid([], 2, [], [...$two, ['core' => 3, 'use' => 'ground']]), ['Core 3 of Cable is used twice']];
        yield 'a core there is not' => ['cable-core-twice', static fn () => self::laid([], 2, ['cores' => 3], [...array_slice($two, 0, 2), ['core' => 4, 'use' => 'ground']]), ['Cable has no core 4']];
        $plugged = static fn (string ...$pins) => array_map(static fn (array $use, string $pin): array => [...$use, 'fromPin' => $pin], array_slice($two, 0, count($pins)), $pins);
        yield 'two on a pin of a plug' => ['cable-plug-pin-twice', static fn () => self::laid([], 2, [], $plugged('2', '2')), ['Cores 1 and 2 of Cable are both on pin 2 at Node 1']];
        yield 'each on its own pin' => ['cable-plug-pin-twice', static fn () => self::laid([], 2, [], $plugged('2', '3')), []];
        yield 'nobody said which' => ['cable-plug-pin-twice', static fn () => self::laid([], 2, [], $plugged('', '')), []];
        yield 'each once' => ['cable-core-twice', static fn () => self::laid([], 2, [], $two), []];
        yield 'to itself' => ['cable-goes-nowhere', static fn () => self::laid([], 2, [], $two)->cable('c2', 'n1', 'n1', 'Loop'), ['Both ends of Loop are at Node 1']];
        yield 'set for a line that is not here' => ['cable-core-idle', static fn () => self::laid([], 2, [], [...$two, ['core' => 4, 'use' => 'a', 'link' => 'l']]), ['Core 4 of Cable is set for what does not go through it']];
        $pair = static fn (array $cable, int $b) => self::laid(['levels' => 'rs-485', 'topology' => 'polled'], 2, $cable, [['core' => 1, 'use' => 'a', 'link' => 'l'], ['core' => $b, 'use' => 'b', 'link' => 'l'], ['core' => 4, 'use' => 'ground']]);
        yield 'a twisted pair' => ['cable-pair-apart', static fn () => $pair(['twisted' => true, 'lengthM' => 50.0], 2), []];
        yield 'a pair on two' => ['cable-pair-apart', static fn () => $pair(['twisted' => true, 'lengthM' => 50.0], 3), ['A and B are on two pairs of Cable']];
        yield 'not twisted' => ['cable-pair-apart', static fn () => $pair(['lengthM' => 50.0], 2), ['A and B run side by side in Cable, untwisted']];
        yield 'nothing between the second and the third' => ['cable-unlaid', static fn () => self::laid(['topology' => 'ring'], 3), ['No cable lies between Node 2 and Node 3, nor along 1 more of Line']];
        yield 'all laid' => ['cable-unlaid', static fn () => self::laid([], 2), []];

        // Data goes through the first, the supply through a second beside it.
        $fed = static fn (array $cable) => self::laid([], 2, [], $two)
            ->supply('plug', 'n1', 'plug-5v-1a', 'Plug')->module('r', 'n2', 'relay-bank-4-low', 'Relays', 'plug')
            ->cable('c2', 'n1', 'n2', 'Feed', $cable, [['core' => 1, 'use' => 'plus', 'supply' => 'plug'], ['core' => 2, 'use' => 'ground']]);
        $both = static fn (array $cable) => self::sketch()->link('l', 'Line', 'serial', ['lengthM' => 1.0, 'timeoutMs' => 200])
            ->node('n1', 'Node 1', NodeKind::Controller, null, '8bit-5v-70io')->node('n2', 'Node 2', NodeKind::Controller, null, '8bit-5v-70io')
            ->join('l', 'n1', Role::Both, null, ['station' => 1])->join('l', 'n2', Role::Both, null, ['station' => 2])
            ->supply('plug', 'n1', 'plug-5v-1a', 'Plug')->module('r', 'n2', 'relay-bank-4-low', 'Relays', 'plug')
            ->cable('c', 'n1', 'n2', 'Cable', $cable, [...$two, ['core' => 4, 'use' => 'plus', 'supply' => 'plug']]);
        $relays = static function (Sketch $sketch): Sketch {
            foreach ([1, 2, 3, 4] as $channel) {
                $sketch->output("o{$channel}", 'n2', "Out {$channel}", OutputKind::Relay, 'r', "IN{$channel}");
            }

            return $sketch;
        };
        // Copper 1.724e-8 Ω·m (IEC 60028): 4 m of 0.22 mm² are 0.313 Ω a core, and 305 to 325 mA there and back lose 0.2 V and more.
        yield 'thick enough' => ['cable-loses-volts', static fn () => $relays($fed(['lengthM' => 4.0, 'mm2' => 0.5])), []];
        yield 'thin' => ['cable-loses-volts', static fn () => $relays($fed(['lengthM' => 8.0, 'mm2' => 0.14])), ['Feed loses * of 5 V']];
        yield 'its ground lifts' => ['cable-ground-lifts', static fn () => $relays($both(['lengthM' => 8.0, 'mm2' => 0.14])), ['The ground at one end of Cable stands * V above the other']];
        yield 'it hardly does' => ['cable-ground-lifts', static fn () => $relays($both(['lengthM' => 1.0, 'mm2' => 0.5])), []];
        yield 'nothing is measured against it' => ['cable-ground-lifts', static fn () => $relays($fed(['lengthM' => 8.0, 'mm2' => 0.14])), []];
        // 0.14 mm² bear 0.56 A: of two plugs 320 mA there and 640 back by one ground, or 320 by each of two.
        $plugs = static fn (int $grounds, float $mm2 = 0.14) => self::laid([], 2, [], $two)
            ->supply('plug', 'n1', 'plug-5v-1a', 'Plug')->module('r', 'n2', 'relay-bank-4-low', 'Relays', 'plug')->supply('more', 'n1', 'plug-5v-1a', 'More')->module('r2', 'n2', 'relay-bank-4-low', 'More relays', 'more')
            ->cable('c2', 'n1', 'n2', 'Feed', ['lengthM' => 0.5, 'mm2' => $mm2, 'cores' => 6], [['core' => 1, 'use' => 'plus', 'supply' => 'plug'], ['core' => 2, 'use' => 'plus', 'supply' => 'more'], ...array_map(static fn (int $core): array => ['core' => 2 + $core, 'use' => 'ground'], range(1, $grounds))]);
        yield 'all of it back by one ground' => ['cable-core-burns', static fn () => $plugs(1), ['A core of Feed gets hot']];
        yield 'by one of 0.25 mm²' => ['cable-core-burns', static fn () => $plugs(1, 0.25), []];
        yield 'half of it by each of two' => ['cable-core-burns', static fn () => $plugs(2), []];
        yield 'even there the coils of one are too much for hair' => ['cable-core-burns', static fn () => $plugs(4, 0.075), ['A core of Feed gets hot']];
        yield 'and just not' => ['cable-core-burns', static fn () => $plugs(4, 0.08), []];
        // Two cores for one supply share what it gives: of 640 mA each carries 320, and so does each of two grounds.
        $doubled = static fn (int $grounds) => self::laid([], 2, [], $two)->supply('plug', 'n1', 'plug-5v-3a', 'Plug')->module('r', 'n2', 'relay-bank-8-low', 'Relays', 'plug')
            ->cable('c2', 'n1', 'n2', 'Feed', ['lengthM' => 0.5, 'mm2' => 0.14, 'cores' => 6], [['core' => 1, 'use' => 'plus', 'supply' => 'plug'], ['core' => 2, 'use' => 'plus', 'supply' => 'plug'], ...array_map(static fn (int $core): array => ['core' => 2 + $core, 'use' => 'ground'], range(1, $grounds))]);
        yield 'eight coils by two cores and two grounds' => ['cable-core-burns', static fn () => $doubled(2), []];
        yield 'by two cores and one ground' => ['cable-core-burns', static fn () => $doubled(1), ['A core of Feed gets hot']];
        yield 'of a gauge that nobody said' => ['cable-core-burns', static fn () => $fed([]), []];
        yield 'nobody said' => ['cable-unknown', static fn () => $fed([]), ['Nobody said how long or thick Feed is']];
        yield 'only data' => ['cable-unknown', static fn () => self::laid([], 2, [], $two), []];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_what_is_found(string $rule, Closure $sketch, array $titles): void
    {
        $found = array_map(static fn (Finding $finding): string => $finding->title, self::checker()->check($sketch()->plan())->byRule()[$rule] ?? []);
        self::assertCount(count($titles), $found, implode("\n", $found));
        foreach ($titles as $at => $title) {
            self::assertStringMatchesFormat(str_replace('*', '%s', $title), $found[$at]);
        }
    }

    /** ngspice: a source, a core there, a core back, and what draws the current. */
    public function test_what_a_supply_loses_is_what_a_circuit_simulator_finds(): void
    {
        $sketch = self::sketch()->node('n1', 'One', NodeKind::Controller, null, '8bit-5v-70io')->node('n2', 'Two', NodeKind::Controller, null, '8bit-5v-70io')
            ->supply('plug', 'n1', 'plug-5v-1a', 'Plug')->supply('far', 'n2', 'other', 'From one', 'plug', FeedsAt::FiveVolt, ['volts' => 5.0])
            ->module('r', 'n2', 'relay-bank-1-low', 'Relay', 'far')->output('o', 'n2', 'Out', OutputKind::Relay, 'r', 'IN1')
            ->cable('c', 'n1', 'n2', 'Cable', ['lengthM' => 12.0, 'mm2' => 0.22, 'cores' => 4], [['core' => 1, 'use' => 'plus', 'supply' => 'plug'], ['core' => 2, 'use' => 'ground'], ['core' => 3, 'use' => 'ground']]);
        $plan = $sketch->plan();
        $cable = $plan->find(Cable::kind(), $sketch->id('c'));
        self::assertInstanceOf(Cable::class, $cable);
        $run = CableRun::of(new Look($plan, self::knowledge()), $cable);
        $peakMa = $run->peakMa($cable->uses[0]);
        self::assertGreaterThan(50.0, $peakMa);
        $ohm = (float) $run->coreOhm();
        // ASTM B258, IEC 60028: 0.22 mm² is about 78 Ω/km.
        self::assertEqualsWithDelta(78.4 * 12 / 1_000, $ohm, 0.01);
        $circuit = "cable\nV1 a 0 DC 5\nR1 a b {$ohm}\nI1 b c DC ".($peakMa / 1_000)."\nR2 c 0 {$ohm}\nR3 c 0 {$ohm}\n.op\n.print op v(b) v(c)\n.end\n";
        $file = tempnam(sys_get_temp_dir(), 'cable');
        self::assertIsString($file);
        file_put_contents($file, $circuit."\n");
        $process = new Process(['ngspice', '-b', $file]);
        $process->run();
        unlink($file);
        self::assertSame(1, preg_match('/^0\s+([\d.e+-]+)\s+([\d.e+-]+)/m', $process->getOutput(), $volts), $process->getOutput());
        [, $near, $far] = $volts;
        self::assertEqualsWithDelta(5.0 - ((float) $near - (float) $far), (float) $run->dropV($cable->uses[0]), 1e-4);
        self::assertEqualsWithDelta((float) $far, (float) $run->liftV(), 1e-4);
    }

    public function test_a_cable_goes_with_either_of_its_nodes_and_frees_what_a_link_leaves(): void
    {
        $sketch = self::laid([], 2);
        $plan = $sketch->assigned();
        $editor = new Editor(self::knowledge());
        foreach (['n1', 'n2'] as $node) {
            $without = $editor->apply($plan, [Operation::remove(Node::kind(), $sketch->id($node))])->plan;
            self::assertSame([], $without->of(Cable::class));
        }
        $unlinked = $editor->apply($plan, [Operation::remove(Link::kind(), $sketch->id('l'))])->plan;
        $cable = $unlinked->of(Cable::class)[0];
        self::assertSame([null, null, null], array_map(static fn (CableCore $core): ?string => $core->linkId, $cable->uses));
        self::assertCount(3, self::checker()->check($unlinked)->byRule()['cable-core-idle'][0]->fix?->operations[0]->values['uses'] === [] ? $cable->uses : []);
        self::assertSame(CoreUse::Ground, $cable->uses[2]->use);
    }
}
