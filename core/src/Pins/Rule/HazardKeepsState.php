<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Rewiring;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Spot;

/** Something that can hurt, on a relay that stays as it was put when everything else is dead. */
#[Finds('hazard-keeps-state', WorkStep::Nodes)]
final readonly class HazardKeepsState implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $module = $output->moduleId === null ? null : $look->plan->module($output->moduleId);
        // Of one that says what it must be, the matrix of safe states says so.
        if ($module === null || $output->hazards === [] || $output->safe !== null) {
            return [];
        }
        $use = self::onExpander($output, $module, $look);
        $expander = $use === null ? null : $look->wire($use)?->pin?->offeredBy;
        if ($use !== null && $expander !== null) {
            return [Finding::warning(
                "{$output->name} stays as it is when its board starts anew",
                Spot::of($output, $look->plan->node($output->nodeId)->name.", {$output->name}", 'moduleId'),
                "{$module->name} {$output->channel} hangs on {$look->plan->module($expander)->name}, which keeps its outputs while the board is reset, hung or flashed, and holds anything at all until the first write.",
                'Put it on a pin of the board itself, or put a second break into its circuit that does not hang on this board.',
                Rewiring::fixFor($look->plan, $look->plan->node($output->nodeId), $use, $look->catalogue),
                numbers: ['hazards' => implode(' ', $output->hazards)],
            )];
        }
        if (! $look->catalogue->classOf($module)->keepsState) {
            return [];
        }

        return [Finding::warning(
            "{$output->name} stays on when its board is dead",
            Spot::of($output, $look->plan->node($output->nodeId)->name.", {$output->name}", 'moduleId'),
            "{$module->name} latches: without power, at a reset and while the board is flashed it is as it was last put. What can hurt should be off then.",
            'Put it on a relay that falls back by itself, or put a second break into its circuit that does not hang on this board.',
            numbers: ['hazards' => implode(' ', $output->hazards)],
        )];
    }

    /** The wire of its channel, where that ends on no pin of the board itself. */
    private static function onExpander(Output $output, Module $module, Look $look): ?PinUse
    {
        foreach ($look->plan->pinUsesOf($module) as $use) {
            if ($use->terminal === $output->channel && $look->wire($use)?->pin?->offeredBy !== null) {
                return $use;
            }
        }

        return null;
    }
}
