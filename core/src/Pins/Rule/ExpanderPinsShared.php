<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;

/** An expander whose pins are called as others of the node are: nobody can tell which is meant. */
#[Finds('expander-pins-shared', WorkStep::PinsAndPower)]
final readonly class ExpanderPinsShared implements NodeRule
{
    private const LETTERS = ['X', 'Y', 'Z', 'W', 'V', 'U', 'T', 'S'];

    public function check(Node $node, Look $look): iterable
    {
        $shipped = $node->board === null ? null : $look->catalogue->boards[$node->board] ?? null;
        $names = array_fill_keys(array_map(strval(...), array_keys($shipped->pins ?? [])), $node->name);
        foreach ($look->plan->modulesOf($node) as $module) {
            $class = $look->catalogue->classOf($module);
            $own = array_map($module->pinName(...), $class->isExpander() ? range(0, $class->offered - 1) : []);
            $shared = array_values(array_filter($own, static fn (string $name): bool => isset($names[$name])));
            $names += array_fill_keys($own, $module->name);
            if ($shared === []) {
                continue;
            }
            $free = array_values(array_filter(self::LETTERS, static fn (string $letter): bool => ! isset($names["{$letter}0"])))[0] ?? null;
            yield Finding::fault(
                "{$shared[0]} is a pin of {$names[$shared[0]]} and of {$module->name}",
                Spot::of($module, "{$node->name}, {$module->name}", 'prefix'),
                'Two pins of one name: a wire to it goes to the first of them, and the other stays without.',
                'Call the pins of one otherwise.',
                $free === null ? null : new Fix("Call its pins {$free}0 and so on", Operation::change(Module::kind(), $module->id, ['prefix' => $free]), ...self::moved($node, $look, $module, $free)),
                numbers: ['pins' => $shared],
                about: [$module->id],
            );
        }
    }

    /** @return list<Operation> what is on those of its pins that were its alone stays on them, by their new names */
    private static function moved(Node $node, Look $look, Module $module, string $prefix): array
    {
        $operations = [];
        foreach ($look->wiresOf($node) as $wire) {
            if ($wire->pin?->offeredBy === $module->id) {
                $operations[] = Operation::change(PinUse::kind(), $wire->use->id, ['pin' => $prefix.$wire->pin->number]);
            }
        }

        return $operations;
    }
}
