<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Island;
use Tests\Core\CoreTestCase;

/** What hangs together by its supplies is tried together, and no more than that. */
final class IslandTest extends CoreTestCase
{
    private static function around(Sketch $sketch, string $node): ?Island
    {
        $plan = $sketch->plan();

        return Island::around($plan, $plan->node($sketch->id($node)));
    }

    /** @return list<string> names of its nodes, in order */
    private static function nodes(Plan $plan): array
    {
        $names = array_map(static fn (Node $node): string => $node->name, $plan->nodes());
        sort($names);

        return $names;
    }

    public function test_it_reaches_whatever_hangs_on_a_supply_or_feeds_it(): void
    {
        $sketch = self::sketch();
        foreach (['A', 'B', 'C', 'D', 'E', 'F'] as $name) {
            $sketch->node($name, $name, NodeKind::Controller, null, '8bit-5v-20io');
        }
        // A feeds B by a line, B's line a relay of C, and A's the signal side of one of D; E and F are of others.
        $sketch->supply('plug', 'A', 'plug-5v-3a', 'Plug')->supply('line', 'B', 'line', 'Line', 'plug')
            ->module('c', 'C', 'relay-bank-1-low', 'Relay', 'line')
            ->module('d', 'D', 'relay-bank-1-low', 'Relay', null, ['signalSupplyId' => $sketch->id('plug')])
            ->supply('own', 'E', 'plug-5v-3a', 'Plug')->module('e', 'E', 'relay-bank-1-low', 'Relay', 'own')->module('f', 'F', 'relay-bank-1-low', 'Relay', 'own');
        foreach (['A', 'B', 'C', 'D'] as $from) {
            $island = self::around($sketch, $from);
            self::assertNotNull($island);
            self::assertSame(['A', 'B', 'C', 'D'], self::nodes($island->plan), "around {$from}");
            self::assertCount(2, $island->plan->modules());
            self::assertTrue($island->isShared());
        }
        self::assertSame(['E', 'F'], self::nodes(self::around($sketch, 'F')->plan ?? $sketch->plan()));
        self::assertFalse(self::around(self::sketch()->node('n', 'N', NodeKind::Controller, null, null), 'n')?->isShared());
    }

    public function test_it_holds_what_says_how_much_is_drawn(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', 'plug-5v-3a', 'Plug')
            ->module('strip', 'n', 'strip-pixels', 'Strip', 's')->output('o', 'n', 'Stairs', OutputKind::Strip, 'strip', 'DIN', more: ['settings' => ['pixels' => 10]])
            ->module('r', 'n', 'relay-bank-1-low', 'Relay', 's')->output('p', 'n', 'Lamp', OutputKind::Relay, 'r', 'IN1');
        $island = self::around($sketch, 'n');
        // A buzzer without a supply of its own lives on the board once something is on it: which is all that says so.
        self::assertSame(['Stairs', 'Lamp'], array_column($island?->plan->outputs() ?? [], 'name'));
    }

    /** @return iterable<string, array{int, int, int, bool}> modules of one node, of another; supplies of the other; whether it is too much */
    public static function sizes(): iterable
    {
        yield 'a hundred modules' => [100, 0, 1, false];
        yield 'one more' => [101, 0, 1, true];
        yield 'a hundred of two' => [60, 40, 1, false];
        yield 'one more of two' => [60, 41, 1, true];
        yield 'a hundred supplies' => [1, 1, 99, false];
        yield 'one supply more' => [1, 1, 100, true];
    }

    #[DataProvider('sizes')]
    public function test_beyond_a_hundred_nothing_is_tried(int $first, int $second, int $supplies, bool $isTooMuch): void
    {
        $sketch = self::sketch()->node('a', 'A', NodeKind::Controller, null, null)->node('b', 'B', NodeKind::Controller, null, null)->supply('s', 'a', 'plug-5v-3a', 'Plug');
        for ($number = 0; $number < $first; $number++) {
            $sketch->module("a{$number}", 'a', 'clock-i2c', "A{$number}", 's');
        }
        for ($number = 0; $number < $second; $number++) {
            $sketch->module("b{$number}", 'b', 'clock-i2c', "B{$number}", 's');
        }
        for ($number = 1; $number < $supplies; $number++) {
            $sketch->supply("s{$number}", 'b', 'line', "L{$number}", 's');
        }
        if ($supplies > 1) {
            $sketch->supply('last', 'b', 'line', 'Last', 's');
        }
        self::assertSame($isTooMuch, self::around($sketch, 'a') === null);
    }

    public function test_more_nodes_than_a_hundred_are_too_many(): void
    {
        foreach ([100 => false, 101 => true] as $nodes => $isTooMuch) {
            $sketch = self::sketch()->node('n0', 'N0', NodeKind::Controller, null, null)->supply('s0', 'n0', 'plug-5v-3a', 'Plug');
            for ($number = 1; $number < $nodes; $number++) {
                $sketch->node("n{$number}", "N{$number}", NodeKind::Controller, null, null);
                if ($number < 100) {
                    $sketch->supply("s{$number}", "n{$number}", 'line', 'Line', 's'.($number - 1));
                } else {
                    $sketch->module('m', "n{$number}", 'clock-i2c', 'Clock', 's0');
                }
            }
            self::assertSame($isTooMuch, self::around($sketch, 'n0') === null, "{$nodes} nodes");
        }
    }
}
