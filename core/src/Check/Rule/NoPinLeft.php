<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\PinPlan;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** More is asked of a board than it has pins for. Says what to drop, or what would make room. */
final readonly class NoPinLeft implements LooksNearby
{
    public function key(): string
    {
        return 'no-pin-left';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $short = [];
        foreach (LeftOver::of($plan, $knowledge->catalogue) as $left) {
            if ($left['demand']->busLine === null) {
                $short[$left['node']->id][] = $left;
            }
        }
        foreach ($short as $lefts) {
            ['node' => $node, 'board' => $board, 'all' => $all] = $lefts[0];
            $names = array_map(self::name(...), $lefts);
            $needed = count($all->placed) + count($all->unplaced);
            yield new Finding(
                $this->key(),
                Severity::Fault,
                count($names) === 1 ? "No pin is left on {$node->name} for {$names[0]}" : count($names)." things on {$node->name} have no pin left",
                Subject::of($node, $node->name, 'board'),
                ['missing' => $names, 'wanted' => $needed, 'pins' => count($board->pins)],
                "The {$board->name} cannot serve ".implode(', ', $names).': every pin that could is taken, whatever is moved.',
                $this->remedy($lefts, $board, $all, $knowledge->catalogue),
                null,
                [$node->id],
            );
        }
    }

    /** @param  array{node: Node, board: Board, demand: Demand, all: PinPlan}  $left */
    private static function name(array $left): string
    {
        ['module' => $module, 'terminal' => $terminal] = $left['demand']->wants[0];

        return "{$module->name} {$terminal->name}";
    }

    /** @param  non-empty-list<array{node: Node, board: Board, demand: Demand, all: PinPlan}>  $lefts */
    private function remedy(array $lefts, Board $board, PinPlan $all, Catalogue $catalogue): string
    {
        $count = count($lefts);
        $needs = array_unique(array_map(static fn (array $left): string => $left['demand']->wants[0]['terminal']->needs, $lefts));
        $ways = [$count === 1 ? 'Drop '.self::name($lefts[0]) : "Drop {$count} of these"];
        if ($needs === ['digital-out']) {
            $outputs = array_filter($all->placed, static fn (array $placed): bool => $placed['demand']->wants[0]['terminal']->carries === 'output');
            if (count($outputs) + $count > 3) {
                $ways[] = 'put the relay channels behind a shift register: three pins drive any number (hold its output-enable until the first write)';
            }
        }
        $used = array_map(static fn (array $placed): string => $placed['pin']->name, $all->placed);
        $i2cFree = array_filter($board->pins, static fn (BoardPin $pin): bool => ($pin->serves('i2c.sda') || $pin->serves('i2c.scl')) && ! in_array($pin->name, $used, true));
        if (count($i2cFree) >= 2 && ! in_array('analogue', $needs, true)) {
            $ways[] = 'add an I²C expander: two pins become sixteen';
        }
        $larger = array_filter($catalogue->boards, static fn (Board $other): bool => $other->logicV === $board->logicV && count($other->pins) >= count($board->pins) + $count);
        foreach (array_slice(array_values($larger), 0, 1) as $other) {
            $ways[] = "build it on the {$other->name}";
        }

        return implode(', or ', $ways).'.';
    }
}
