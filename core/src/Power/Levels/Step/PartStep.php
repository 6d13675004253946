<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Burst;
use Rundfunk\Power\Levels\LevelParts;
use Rundfunk\Power\Levels\Mending;
use Rundfunk\Power\Levels\Wanted;
use Rundfunk\Power\Levels\WireLevels;
use Rundfunk\Power\Levels\Wiring;
use Rundfunk\Power\SupplyTree;

/** The discrete parts that wires and supplies need: dividers, shifters, pull-ups, capacitors. Each is to be bought. */
final readonly class PartStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Part;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $look = new Look($plan, $knowledge);
        $wiring = Wiring::in($look);
        foreach ($plan->nodes() as $node) {
            foreach (Wire::firsts($look->wiresOf($node)) as $wire) {
                yield from $this->between($plan, $wiring, $wire);
            }
            foreach ($plan->modulesOf($node) as $module) {
                yield from $this->capacitor($plan, SupplyTree::in($look), $node, $module);
                yield from $this->buffer($plan, $wiring, $node, $module);
            }
        }
    }

    /** @return iterable<Proposal> */
    private function between(Plan $plan, Wiring $wiring, Wire $wire): iterable
    {
        $spot = Spot::of($wire->module, "{$wire->node->name}, {$wire->module->name}", $wire->terminal->name);
        $levels = $wiring->levels($wire);
        $why = $levels === null ? null : self::why($levels);
        $there = $wiring->partsAt($wire);
        if ($there !== []) {
            // What is there and what is wanted besides must go together.
            $mending = Mending::of($wiring, $wire);
            if ($mending->operations !== []) {
                yield new Proposal($this->stage(), $spot, "Between {$wire->node->name} and {$wire->module->name} {$wire->terminal->name}", implode(', ', array_map(static fn (Part $part): string => $part->kind->words(), $there)), $mending->words, $why ?? 'With no more than what is there it does not work as it should.', $mending->operations);
            }

            return;
        }
        if ($levels !== null && $why !== null) {
            $parts = LevelParts::fitting($plan, $levels);
            yield new Proposal($this->stage(), $spot, "Between {$wire->node->name} and {$wire->module->name} {$wire->terminal->name}", null, "{$parts->words} (buy)", $why, $parts->operations);
        }
        foreach (Wanted::at($plan, $wiring, $wire) as $wanted) {
            yield new Proposal($this->stage(), $spot, "{$wanted->name} of {$wire->node->name} · {$wire->module->name} {$wire->terminal->name}", null, "{$wanted->parts->words} (buy)", $wanted->why, $wanted->parts->operations);
        }
    }

    /** @return string|null what is wrong with the levels of a wire; null where they fit */
    private static function why(WireLevels $levels): ?string
    {
        return match (true) {
            $levels->isTooHigh() => Figures::significant((float) $levels->arrivesV()).' V would go into an input that stands '.Figures::significant((float) $levels->mostV).'.',
            $levels->isTooLow() => Figures::significant((float) $levels->leastArrivesV()).' V are below the '.Figures::significant((float) $levels->takesV).' V that it takes for high.',
            $levels->isLowTooHigh() => 'A low of '.Figures::significant((float) $levels->lowArrivesV()).' V is above the '.Figures::significant((float) $levels->takesLowV).' V up to which it takes one for low.',
            $levels->holdsOn() => 'A high would leave '.Figures::significant((float) $levels->leftAcrossLedV()).' V across its input: enough to hold it on.',
            default => null,
        };
    }

    /** @return iterable<Proposal> */
    private function buffer(Plan $plan, Wiring $wiring, Node $node, Module $module): iterable
    {
        $wants = $wiring->missingBufferUf($module);
        if ($wants !== null) {
            $part = LevelParts::buffer($plan, $module->id, (string) $wiring->feedTerminal($module), $wants);
            yield new Proposal($this->stage(), Spot::of($module, "{$node->name}, {$module->name}", 'supplyId'), "Capacitor of {$node->name} · {$module->name}", null, "{$part->words} (buy)", 'What it draws comes and goes with every picture.', $part->operations);
        }
    }

    /** @return iterable<Proposal> */
    private function capacitor(Plan $plan, SupplyTree $tree, Node $node, Module $module): iterable
    {
        $burst = Burst::of($tree, $module);
        $leastV = $tree->moduleClass($module)->minV;
        if ($burst === null || ! $burst->sagsBelow($leastV)) {
            return;
        }
        $enough = $burst->enoughUf($leastV);
        if ($enough === null) {
            return;
        }
        yield new Proposal(
            $this->stage(),
            Spot::of($module, "{$node->name}, {$module->name}", 'supplyId'),
            "Capacitor of {$node->name} · {$module->name}",
            null,
            Figures::significant($enough).' µF (buy)',
            'It sends in bursts of amperes: without it its supply falls below '.Figures::significant($leastV).' V in each.',
            $burst->with($plan, $enough),
        );
    }
}
