<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Pins\CheapestMatching;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\PinFitness;
use Rundfunk\Pins\PinPlanner;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

/** The matcher against trying everything. */
final class PinPlannerTest extends CoreTestCase
{
    public function test_it_is_as_good_as_brute_force_on_a_thousand_random_boards(): void
    {
        mt_srand(20261124);
        for ($round = 0; $round < 1000; $round++) {
            $rows = mt_rand(1, 5);
            $columns = mt_rand(1, 7);
            $costs = [];
            for ($row = 0; $row < $rows; $row++) {
                for ($column = 0; $column < $columns; $column++) {
                    $costs[$row][$column] = mt_rand(0, 2) === 0 ? null : mt_rand(0, 30);
                }
            }
            $matched = CheapestMatching::of($costs, 1_000);
            $used = array_filter($matched, static fn (?int $column): bool => $column !== null);
            self::assertSame(count($used), count(array_unique($used)), 'a pin was given twice');
            $total = 0;
            foreach ($matched as $row => $column) {
                if ($column !== null) {
                    self::assertNotNull($costs[$row][$column], 'a pin was given to what cannot use it');
                }
                $total += $column === null ? 1_000 : $costs[$row][$column];
            }
            self::assertSame(self::cheapest($costs, 1_000), $total, "round {$round}");
        }
    }

    /**
     * @param  list<list<int|null>>  $costs
     * @param  list<int>  $used
     */
    private static function cheapest(array $costs, int $unplaced, int $row = 0, array $used = []): int
    {
        if ($row === count($costs)) {
            return 0;
        }
        $best = $unplaced + self::cheapest($costs, $unplaced, $row + 1, $used);
        foreach ($costs[$row] as $column => $cost) {
            if ($cost !== null && ! in_array($column, $used, true)) {
                $best = min($best, $cost + self::cheapest($costs, $unplaced, $row + 1, [...$used, $column]));
            }
        }

        return $best;
    }

    /** Random real boards and modules: whenever an exhaustive search can place everything, so does the planner. */
    public function test_a_pin_assignment_is_found_whenever_one_exists(): void
    {
        mt_srand(7);
        $classes = ['relay-bank-1-low', 'relay-bank-1-high', 'button-pad-1', 'indicator-lamp', 'packet-radio-plain'];
        $placeable = 0;
        for ($round = 0; $round < 150; $round++) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io');
            foreach (range(1, mt_rand(4, 8)) as $number) {
                $class = $classes[mt_rand(0, $number === 1 ? 4 : 3)];
                $sketch->module("m{$number}", 'n', $class, "M{$number}");
                match (true) {
                    str_starts_with($class, 'relay') => $sketch->output("o{$number}", 'n', 'O', OutputKind::Relay, "m{$number}", 'IN1'),
                    $class === 'indicator-lamp' => $sketch->output("o{$number}", 'n', 'O', OutputKind::Lamp, "m{$number}", 'LED'),
                    $class === 'button-pad-1' => $sketch->control("c{$number}", 'n', 'C', ControlKind::Button, "m{$number}", 'K1'),
                    default => null,
                };
            }
            $plan = $sketch->plan();
            $node = $plan->node($sketch->id('n'));
            $board = self::knowledge()->catalogue->boards['wifi-3v3-11io'];
            $demands = Demands::of($plan, $node, self::knowledge()->catalogue);
            $buses = array_fill_keys($demands->busModules(), 'spi0');
            $fitness = new PinFitness($board, array_values(array_unique($buses)));
            $able = array_map(
                static fn (Demand $demand): array => array_keys(array_filter($board->pins, static fn (BoardPin $pin): bool => $demand->cost($pin, $fitness) !== null)),
                $demands->asking($buses),
            );
            $planned = (new PinPlanner(self::knowledge()->catalogue))->plan($plan, $node);
            self::assertNotNull($planned);
            self::assertSame(self::mostPlaced($able), count($planned->placed), "round {$round}");
            $placeable += $planned->unplaced === [] ? 1 : 0;
        }
        self::assertGreaterThan(20, $placeable);
        self::assertLessThan(150, $placeable);
    }

    /**
     * Largest matching by augmenting paths: another method than the planner's.
     *
     * @param  list<list<string>>  $able
     */
    private static function mostPlaced(array $able): int
    {
        $owner = [];
        $count = 0;
        foreach (array_keys($able) as $row) {
            $seen = [];
            $count += self::augment($able, $row, $owner, $seen) ? 1 : 0;
        }

        return $count;
    }

    /**
     * @param  list<list<string>>  $able
     * @param  array<string, int>  $owner
     * @param  array<string, true>  $seen
     */
    private static function augment(array $able, int $row, array &$owner, array &$seen): bool
    {
        foreach ($able[$row] as $pin) {
            if (isset($seen[$pin])) {
                continue;
            }
            $seen[$pin] = true;
            if (! isset($owner[$pin]) || self::augment($able, $owner[$pin], $owner, $seen)) {
                $owner[$pin] = $row;

                return true;
            }
        }

        return false;
    }

    public function test_two_radios_share_the_bus_and_have_their_own_select(): void
    {
        $sketch = self::sketch()
            ->node('n', 'N', NodeKind::Gateway, null, '8bit-5v-20io')
            ->module('r1', 'n', 'packet-radio-plain', 'One')
            ->module('r2', 'n', 'packet-radio-plain', 'Two');
        $plan = $sketch->assigned();
        $pins = [];
        foreach ($plan->pinUses() as $use) {
            $pins[$use->terminal][] = $use->pin;
        }
        self::assertSame(['D13', 'D13'], $pins['SCK']);
        self::assertSame(['D11', 'D11'], $pins['MOSI']);
        self::assertSame(['D12', 'D12'], $pins['MISO']);
        self::assertCount(4, array_unique([...$pins['CE'], ...$pins['CSN']]));
    }

    public function test_a_pinned_wire_stays_and_the_rest_goes_round_it(): void
    {
        $sketch = self::pair()->output('o', 'board', 'O', OutputKind::Relay, 'board-relays', 'IN1')->wire('board-relays', 'IN1', 'D4', true);
        $plan = $sketch->assigned();
        foreach ($plan->pinUsesOf($plan->module($sketch->id('board-relays'))) as $use) {
            self::assertSame('D4', $use->pin);
        }
        self::assertSame([], self::found($plan, 'pin-used-twice'));
    }
}
