<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Board;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** Parts that can do no good at their terminal, whatever its pin: before the pins, for a transistor turns over what a pin must be at the start. */
final readonly class OutOfPlaceStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Pin;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $look = new Look($plan, $knowledge);
        $wiring = Wiring::in($look);
        foreach ($plan->nodes() as $node) {
            $board = $look->board($node);
            if ($board === null) {
                continue;
            }
            foreach ($plan->modulesOf($node) as $module) {
                foreach ($plan->partsOf($module) as $part) {
                    $wire = self::wire($look, $node, $board, $module, $part);
                    $why = $wire === null ? null : (new Misfits($wiring, $wire))->whyMisplaced($part);
                    if ($why !== null) {
                        yield new Proposal($this->stage(), Spot::of($module, "{$node->name}, {$module->name}", $part->terminal), "Between {$node->name} and {$module->name} {$part->terminal}", $part->kind->words(), "without the {$part->kind->words()}", $why, [Operation::remove(Part::kind(), $part->id)]);
                    }
                }
            }
        }
    }

    /** The wire of a part's terminal, on a pin or not yet. */
    private static function wire(Look $look, Node $node, Board $board, Module $module, Part $part): ?Wire
    {
        $terminal = $look->catalogue->classOf($module)->terminal($part->terminal);
        $uses = array_filter($look->plan->pinUsesOf($module), static fn (PinUse $use): bool => $use->terminal === $part->terminal);
        $use = array_values($uses)[0] ?? new PinUse($look->plan->newId('pin-use', $module->id, $part->terminal), $module->id, $part->terminal, '?');

        return $terminal === null ? null : new Wire($node, $board, $module, $terminal, $use, $board->pin($use->pin));
    }
}
