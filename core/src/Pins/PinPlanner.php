<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use WeakMap;

/**
 * Finds a pin for every terminal of a node, whenever that is possible: fewest changes first, then the fewest pins
 * spoiled for better uses, then the lowest. Modules that need a bus may be spread over the board's buses.
 */
final class PinPlanner
{
    /** @var WeakMap<Plan, array<string, PinPlan>>|null by node id */
    private static ?WeakMap $known = null;

    private const MOST_BUS_CHOICES = 64;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** @return PinPlan|null null when the node has no board */
    public function plan(Plan $plan, Node $node): ?PinPlan
    {
        $board = $this->catalogue->boardOf($node);
        if ($board === null) {
            return null;
        }
        // Several rules and the assigner ask the same of one plan, which never changes.
        self::$known ??= new WeakMap;
        $ofPlan = self::$known[$plan] ?? [];
        $ofPlan[$node->id] ??= $this->on($board, Demands::of($plan, $node, $this->catalogue));
        self::$known[$plan] = $ofPlan;

        return $ofPlan[$node->id];
    }

    public function on(Board $board, Demands $demands): PinPlan
    {
        $demands = $demands->pulled();
        $timers = Timers::of($board, $demands->all());
        $tried = array_map(fn (array $buses): PinPlan => $this->match($board, $demands, $buses, $timers), $this->busChoices($board, $demands));
        // Of those that cost as little, the plainest choice of buses stays first.
        usort($tried, static fn (PinPlan $a, PinPlan $b): int => $a->cost <=> $b->cost);

        return $tried[0];
    }

    /** @param  array<string, string>  $buses  of each module on one */
    private function match(Board $board, Demands $all, array $buses, Timers $timers): PinPlan
    {
        $demands = $all->asking($buses);
        $pins = array_values($board->pins);
        $fitness = new PinFitness($board, array_values($buses), $timers);
        $costs = array_map(
            static fn (Demand $demand): array => array_map(static fn (BoardPin $pin): ?int => $demand->cost($pin, $fitness), $pins),
            $demands,
        );
        $leaving = array_map(static fn (Demand $demand): int => $demand->costUnplaced(), $demands);
        do {
            $columns = CheapestMatching::of($costs, $leaving);
            $shut = self::shut($demands, $pins, $columns, $costs, $all->left);
            $costs = $shut ?? $costs;
        } while ($shut !== null);
        $placed = [];
        $unplaced = [];
        $total = PinCost::ADDRESS_SHARED * $all->clashes($buses);
        foreach ($columns as $index => $column) {
            if ($column === null) {
                $unplaced[] = $demands[$index];
                $total += $leaving[$index];
            } else {
                $placed[] = ['demand' => $demands[$index], 'pin' => $pins[$column]];
                $total += $costs[$index][$column] ?? 0;
            }
        }

        return new PinPlan(self::inOrder($placed), $unplaced, $total);
    }

    /**
     * What cannot be placed stays where it is, right or wrong: its pin is not handed to another, which would be one fault more.
     *
     * @param  list<Demand>  $demands
     * @param  list<BoardPin>  $pins
     * @param  list<int|null>  $columns
     * @param  list<list<int|null>>  $costs
     * @param  list<string>  $left  of wires that nobody asks for
     * @return list<list<int|null>>|null the costs with such pins shut for others; null where none was handed out
     */
    private static function shut(array $demands, array $pins, array $columns, array $costs, array $left): ?array
    {
        $held = array_fill_keys($left, true);
        foreach ($columns as $index => $column) {
            // What the user fixed stays too, on a pin that cannot serve it as well.
            foreach ($column === null ? [...$demands[$index]->heldPins(), ...$demands[$index]->pinnedTo()] : [] as $name) {
                $held[$name] = true;
            }
        }
        $shut = null;
        foreach ($columns as $index => $column) {
            if ($column === null || ! isset($held[$pins[$column]->name]) || in_array($pins[$column]->name, [...$demands[$index]->heldPins(), ...$demands[$index]->pinnedTo()], true)) {
                continue;
            }
            $shut ??= $costs;
            $shut[$index][$column] = null;
        }

        return $shut === null ? null : array_map(array_values(...), $shut);
    }

    /**
     * Like channels of one module get their pins in rising order: who wires IN1, IN2, IN3 expects it, and it costs the same.
     *
     * @param  list<array{demand: Demand, pin: BoardPin}>  $placed
     * @return list<array{demand: Demand, pin: BoardPin}>
     */
    private static function inOrder(array $placed): array
    {
        $alike = [];
        foreach ($placed as $index => ['demand' => $demand]) {
            $kind = $demand->kindWhenNew();
            if ($kind !== null) {
                $alike[$kind][] = $index;
            }
        }
        foreach ($alike as $indexes) {
            $pins = array_map(static fn (int $index): BoardPin => $placed[$index]['pin'], $indexes);
            usort($pins, static fn (BoardPin $a, BoardPin $b): int => $a->index <=> $b->index);
            foreach ($indexes as $at => $index) {
                $placed[$index] = ['demand' => $placed[$index]['demand'], 'pin' => $pins[$at]];
            }
        }

        return $placed;
    }

    /** @return non-empty-list<array<string, string>> module id → bus, the plainest choice first */
    private function busChoices(Board $board, Demands $demands): array
    {
        $choices = [[]];
        foreach ($demands->busModules() as $moduleId) {
            $kind = $demands->busKind($moduleId);
            $buses = $board->buses($kind);
            // A board without such a bus still gets a name for it, which no pin serves.
            $buses = $buses === [] ? [$kind.'0'] : $buses;
            $more = [];
            foreach ($choices as $choice) {
                // A serial port, or a controller of a bus, is one module's alone, as long as there are enough.
                $free = in_array($kind, ['uart', 'can'], true) ? array_values(array_diff($buses, $choice)) : $buses;
                foreach ($free === [] ? $buses : $free as $bus) {
                    $more[] = [...$choice, $moduleId => $bus];
                }
            }
            $choices = array_slice($more, 0, self::MOST_BUS_CHOICES);
        }

        return $choices;
    }
}
