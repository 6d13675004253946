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
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Levels\ChipLoad;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\WireLevels;
use Rundfunk\Power\Levels\Wiring;
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
        $wiring = Wiring::in($look);
        $rows = [];
        $parts = [];
        foreach (self::inOrder($look, $node) as $wire) {
            $levels = $wiring->levels($wire);
            $pullUp = $wiring->missingPullUpOhm($wire);
            if ($levels !== null) {
                $rows[] = self::row($levels, $pullUp, $wiring);
            } elseif ($wire->terminal->contact) {
                $rows[] = self::contact($wire, $pullUp, $wiring);
            } elseif (Wiring::livesOnMa($wire) !== null) {
                $rows[] = self::living($wire, Wiring::livesOnMa($wire), $wiring);
            }
        }
        foreach ($plan->modulesOf($node) as $module) {
            foreach ($plan->partsOf($module) as $part) {
                $parts[] = new PlacedPart($part->id, $module->id, $part->terminal, $part->kind->words(), PartWords::of($part), $part->owned);
            }
        }

        $load = ChipLoad::each($look->wiresOf($node), $wiring)[''] ?? null;

        return new NodeLevels($rows, $parts, (float) Figures::significant($load->carriedMa ?? 0.0), $load?->mostMa, $load?->isTooMuch() !== true);
    }

    /** @return list<Wire> of one module after the other, and of each its terminals as it has them */
    private static function inOrder(Look $look, Node $node): array
    {
        $modules = array_flip(array_column($look->plan->modulesOf($node), 'id'));
        $terminals = static fn (Wire $wire): int => (int) array_search($wire->terminal->name, array_keys($look->catalogue->classOf($wire->module)->terminals), true);
        $wires = $look->wiresOf($node);
        usort($wires, static fn (Wire $a, Wire $b): int => [$modules[$a->module->id], $terminals($a)] <=> [$modules[$b->module->id], $terminals($b)]);

        return $wires;
    }

    private static function row(WireLevels $levels, ?float $pullUpOhm, Wiring $wiring): LevelRow
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
        $harm = (new Misfits($wiring, $wire))->words();
        $takes = implode(', ', array_filter([
            $levels->takesV === null ? '' : 'high from '.Figures::significant($levels->takesV).' V',
            $levels->mostV === null ? '' : 'stands '.Figures::significant($levels->mostV),
        ], static fn (string $word): bool => $word !== ''));

        return new LevelRow(
            $wire->use->id, $wire->module->id, $wire->terminal->name, $wire->use->pin, $levels->driven,
            $volts($levels->givesV), $takes === '' ? '–' : $takes, $harm ?? ($pullUpOhm === null ? $arrives : 'nothing holds it high'),
            ! $levels->isWrong() && $pullUpOhm === null && $harm === null,
            self::between($levels->parts),
        );
    }

    private static function contact(Wire $wire, ?float $pullUpOhm, Wiring $wiring): LevelRow
    {
        $parts = $wiring->partsAt($wire);
        $harm = (new Misfits($wiring, $wire))->words();

        return new LevelRow(
            $wire->use->id, $wire->module->id, $wire->terminal->name, $wire->use->pin, false,
            'contact', 'low = pressed', $harm ?? ($pullUpOhm === null ? 'held high' : 'nothing holds it high'), $harm === null && $pullUpOhm === null, $parts === [] ? 'pull-up of the pin' : self::between($parts),
        );
    }

    /** What lives on its pin: a lamp, a buzzer. */
    private static function living(Wire $wire, float $ma, Wiring $wiring): LevelRow
    {
        $isOverdrawn = $wiring->isOverdrawn($wire);
        $harm = (new Misfits($wiring, $wire))->words();
        $arrives = match (true) {
            $harm !== null => $harm,
            $isOverdrawn => 'more than a pin should give',
            $wiring->has($wire, PartKind::Driver) => 'a transistor gives it',
            default => 'it lives on the pin',
        };

        return new LevelRow(
            $wire->use->id, $wire->module->id, $wire->terminal->name, $wire->use->pin, true,
            Figures::significant($wire->pinCurrent()->advisedMa).' mA', Figures::significant($ma).' mA', $arrives, ! $isOverdrawn && $harm === null, self::between($wiring->partsAt($wire)),
        );
    }

    /** @param  list<Part>  $parts */
    private static function between(array $parts): string
    {
        return $parts === [] ? 'straight' : implode(', ', array_map(PartWords::of(...), $parts));
    }
}
