<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\PinNeeds;
use Rundfunk\Pins\PinPlan;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** More is asked of a board than it has pins for. Says what to drop, or what would make room. */
#[Finds('no-pin-left', WorkStep::PinsAndPower)]
final readonly class NoPinLeft implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $left = $look->once(PinNeeds::class, static fn (): PinNeeds => new PinNeeds($look->plan, $look->catalogue))->leftOver($node);
        $short = array_values(array_filter($left->demands ?? [], static fn (Demand $demand): bool => $demand->busLine === null && ! AbilityMissing::isBeyond($demand, $left->board->pins ?? [])));
        if ($left === null || $short === []) {
            return [];
        }
        $names = array_map(self::name(...), $short);

        return [Finding::fault(
            count($names) === 1 ? "No pin is left on {$node->name} for {$names[0]}" : count($names)." things on {$node->name} have no pin left",
            Spot::of($node, $node->name, 'board'),
            "The {$left->board->name} cannot serve ".implode(', ', $names).': every pin that could is taken, whatever is moved.',
            self::remedy($short, $left->board, $left->all, $look->catalogue),
            numbers: ['missing' => $names, 'wanted' => count($left->all->placed) + count($left->all->unplaced), 'pins' => count($left->board->pins)],
            about: [$node->id],
        )];
    }

    private static function name(Demand $demand): string
    {
        ['module' => $module, 'terminal' => $terminal] = $demand->wants[0];

        return "{$module->name} {$terminal->name}";
    }

    /** @param  non-empty-list<Demand>  $short */
    private static function remedy(array $short, Board $board, PinPlan $all, Catalogue $catalogue): string
    {
        $count = count($short);
        $needs = array_unique(array_map(static fn (Demand $demand): string => $demand->wants[0]['terminal']->needs, $short));
        $ways = [$count === 1 ? 'Drop '.self::name($short[0]) : "Drop {$count} of these"];
        // Only what can wait for a bus goes behind one: no dimmer, no servo, no stick. What is there makes room for the two or three pins that it takes.
        if (array_filter($short, static fn (Demand $demand): bool => ! $demand->wants[0]['terminal']->isSlow()) === []) {
            $outputs = array_filter($all->placed, static fn (array $placed): bool => $placed['demand']->wants[0]['terminal']->carries === 'output');
            if ($needs === ['digital-out'] && count($outputs) + $count > 3) {
                $ways[] = 'put the relay channels behind a shift register: three pins drive any number (hold its output-enable until the first write)';
            }
            if ($board->buses('i2c') !== []) {
                $ways[] = 'add an I²C expander: two pins become sixteen';
            }
        }
        $larger = array_filter($catalogue->boards, static fn (Board $other): bool => $other->logicV === $board->logicV && count($other->pins) >= count($board->pins) + $count);
        foreach (array_slice(array_values($larger), 0, 1) as $other) {
            $ways[] = "build it on the {$other->name}";
        }

        return implode(', or ', $ways).'.';
    }
}
