<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Build\PartWords;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Levels\WireLevels;
use Rundfunk\Power\Levels\Wiring;
use Rundfunk\Power\SupplyTree;
use Rundfunk\View\Shown\LevelRow;
use Rundfunk\View\Shown\NodeLevels;
use Rundfunk\View\Shown\PlacedPart;

/** The levels of a node's wires, and the discrete parts at them. */
final readonly class NodeLevelsView implements View
{
    public function key(): string
    {
        return 'node-levels';
    }

    public function owner(): string
    {
        return Node::class;
    }

    public function shape(): string
    {
        return NodeLevels::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?NodeLevels
    {
        $node = $plan->node($of);
        if ($knowledge->catalogue->boardOf($node) === null) {
            return null;
        }
        $look = new Look($plan, $knowledge);
        $wiring = new Wiring($plan, $knowledge->catalogue, SupplyTree::in($look));
        $rows = [];
        $parts = [];
        foreach ($look->wiresOf($node) as $wire) {
            $levels = $wiring->levels($wire);
            $pullUp = $wiring->missingPullUpOhm($wire);
            if ($levels !== null) {
                $rows[] = self::row($levels, $pullUp);
            } elseif ($wire->terminal->contact) {
                $rows[] = self::contact($wire, $pullUp, $plan);
            }
        }
        foreach ($plan->modulesOf($node) as $module) {
            foreach ($plan->partsOf($module) as $part) {
                $parts[] = new PlacedPart($part->id, $module->id, $part->terminal, PartWords::of($part), $part->owned);
            }
        }

        return new NodeLevels($rows, $parts);
    }

    private static function row(WireLevels $levels, ?float $pullUpOhm): LevelRow
    {
        $wire = $levels->wire;
        $left = $levels->leftAcrossLedV();
        $volts = static fn (?float $v): string => $v === null ? '–' : Figures::significant($v).' V';
        $arrives = match (true) {
            $levels->isShifted() => 'made to fit',
            $left !== null => Figures::significant($left).' V left across it'.($levels->holdsOn() ? ': may hold' : ': lets go'),
            $wire->terminal->open => 'pulled low, or let go',
            $levels->isTooHigh() => $volts($levels->arrivesV()).' arrive: too much',
            $levels->isTooLow() => $volts($levels->leastArrivesV()).' arrive: too little',
            $levels->isLowTooHigh() => 'a low is still '.$volts($levels->lowArrivesV()).': too much',
            $levels->takesV !== null && $levels->leastArrivesV() !== null => $volts($levels->arrivesV()).', '.Figures::significant($levels->leastArrivesV() - $levels->takesV).' V to spare',
            default => $volts($levels->arrivesV()),
        };
        $takes = implode(', ', array_filter([
            $levels->takesV === null ? '' : 'high from '.Figures::significant($levels->takesV).' V',
            $levels->mostV === null ? '' : 'stands '.Figures::significant($levels->mostV),
        ], static fn (string $word): bool => $word !== ''));

        return new LevelRow(
            $wire->use->id, $wire->module->id, $wire->terminal->name, $wire->use->pin, $levels->driven,
            $volts($levels->givesV), $takes === '' ? '–' : $takes, $pullUpOhm === null ? $arrives : 'nothing holds it high',
            ! $levels->isTooHigh() && ! $levels->isTooLow() && ! $levels->isLowTooHigh() && ! $levels->holdsOn() && $pullUpOhm === null,
            self::between($levels->parts),
        );
    }

    private static function contact(Wire $wire, ?float $pullUpOhm, Plan $plan): LevelRow
    {
        $parts = array_values(array_filter($plan->partsOf($wire->module), static fn (Part $part): bool => $part->terminal === $wire->terminal->name));

        return new LevelRow(
            $wire->use->id, $wire->module->id, $wire->terminal->name, $wire->use->pin, false,
            'contact', 'low = pressed', $pullUpOhm === null ? 'held high' : 'nothing holds it high', $pullUpOhm === null, $parts === [] ? 'pull-up of the pin' : self::between($parts),
        );
    }

    /** @param  list<Part>  $parts */
    private static function between(array $parts): string
    {
        return $parts === [] ? 'straight' : implode(', ', array_map(PartWords::of(...), $parts));
    }
}
