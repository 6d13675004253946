<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Catalogue\BoardInput;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\BatteryHours;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Take;
use Rundfunk\Power\Verdicts;
use Rundfunk\View\Shown\BoardInputShown;
use Rundfunk\View\Shown\FedModule;
use Rundfunk\View\Shown\NodePower;
use Rundfunk\View\Shown\RailRow;
use Rundfunk\View\Shown\TakeShown;

/** A node's supplies as a tree, from the source down, with what each bears. */
final readonly class NodePowerView implements View
{
    public function key(): string
    {
        return 'node-power';
    }

    public function owner(): string
    {
        return Node::class;
    }

    public function shape(): string
    {
        return NodePower::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?NodePower
    {
        $node = $plan->node($of);
        if ($node->kind->isBought()) {
            return null;
        }
        $verdicts = new Verdicts(new SupplyTree($plan, $knowledge->catalogue));
        $tree = $verdicts->tree;
        $rows = [];
        foreach (self::inOrder($plan, $node, $tree) as [$supply, $depth]) {
            $rows[] = self::row($plan, $knowledge, $verdicts, $supply, $depth);
        }
        $fed = array_values(array_filter($plan->modulesOf($node), static fn (Module $module): bool => $tree->moduleClass($module)->isFed()));

        return new NodePower(
            $rows,
            array_map(static fn (Module $module): FedModule => self::module($tree, $module), $fed),
            array_map(static fn (BoardInput $input): BoardInputShown => new BoardInputShown($input->at, "{$input->name}, ".Figures::significant($input->minV).' to '.Figures::significant($input->maxV).' V'), $knowledge->catalogue->boardOf($node)->inputs ?? []),
        );
    }

    /**
     * Each source before what lives on it. Of another node only what this one lives on.
     *
     * @return list<array{Supply, int}>
     */
    private static function inOrder(Plan $plan, Node $node, SupplyTree $tree): array
    {
        $own = $plan->suppliesOf($node);
        $shown = [];
        foreach ($own as $supply) {
            for ($one = $supply; $one !== null && ! isset($shown[$one->id]); $one = $tree->parent($one)) {
                $shown[$one->id] = $one;
            }
        }
        $rows = [];
        $listed = [];
        $below = static function (Supply $supply, int $depth) use (&$below, &$rows, &$listed, $shown, $tree): void {
            if (isset($listed[$supply->id]) || ! isset($shown[$supply->id])) {
                return;
            }
            $listed[$supply->id] = true;
            $rows[] = [$supply, $depth];
            foreach ($tree->children($supply) as $child) {
                $below($child, $depth + 1);
            }
        };
        foreach ($shown as $supply) {
            if ($tree->parent($supply) === null) {
                $below($supply, 0);
            }
        }
        // What lives on itself has no source to begin from.
        foreach ($shown as $supply) {
            $below($supply, 0);
        }

        return $rows;
    }

    private static function row(Plan $plan, Knowledge $knowledge, Verdicts $verdicts, Supply $supply, int $depth): RailRow
    {
        $tree = $verdicts->tree;
        $load = $tree->load($supply);
        $limitMa = $tree->limitMa($supply);

        return new RailRow(
            $supply->id,
            $supply->nodeId,
            $supply->name,
            self::what($tree, $supply),
            $depth,
            $tree->volts($supply)?->words(),
            round($load->typicalMa, 1),
            round($load->peakMa, 1),
            $limitMa === null ? null : round($limitMa, 1),
            self::says($plan, $knowledge, $verdicts, $supply),
            $verdicts->isSound($supply),
            array_map(static fn (Take $take): TakeShown => new TakeShown($take->by->id(), $take->name, (float) Figures::significant($take->load->typicalMa), (float) Figures::significant($take->load->peakMa)), $tree->takes($supply)),
        );
    }

    private static function what(SupplyTree $tree, Supply $supply): string
    {
        $class = $tree->classOf($supply);
        $words = [$class->name];
        if ($supply->volts !== null && $supply->volts !== $class->volts) {
            $words[] = 'set to '.Figures::significant($supply->volts).' V';
        }
        $capacity = $supply->capacityMah ?? $class->cell?->capacityMah;
        if ($capacity !== null) {
            $words[] = Figures::significant($capacity).' mAh';
        }
        if ($supply->fuseA !== null) {
            $words[] = 'fuse '.Figures::significant($supply->fuseA).' A';
        }
        if ($supply->cableM !== null && $supply->cableMm2 !== null) {
            $words[] = Figures::significant($supply->cableM).' m of '.Figures::significant($supply->cableMm2).' mm²';
        }
        $input = $tree->board($supply)?->input($tree->feedsAt($supply));
        if ($input !== null) {
            $words[] = "feeds the board at its {$input->name}";
        }

        return implode(', ', $words);
    }

    private static function says(Plan $plan, Knowledge $knowledge, Verdicts $verdicts, Supply $supply): string
    {
        $tree = $verdicts->tree;
        $load = $tree->load($supply);
        $limitMa = $tree->limitMa($supply);
        $says = [Figures::significant($load->typicalMa).' typical, '.Figures::significant($load->peakMa).' peak'.($limitMa === null ? ' mA' : ' of '.Figures::significant($limitMa).' mA')];
        $heatW = $verdicts->heatW($supply);
        if ($heatW >= 0.05) {
            $mostW = $tree->classOf($supply)->takes?->heatW;
            $says[] = Figures::significant($heatW).' W of heat'.($mostW === null ? '' : ' of '.Figures::significant($mostW));
        }
        $boardHeatW = $verdicts->boardHeatW($supply);
        if ($boardHeatW >= 0.05) {
            $says[] = Figures::significant($boardHeatW)." W of heat in the board's regulator of about ".Figures::significant(Verdicts::BOARD_W);
        }
        $dropV = $tree->cableDropV($supply);
        if ($dropV > 0.0) {
            $says[] = 'the cable loses '.Figures::significant($dropV).' V';
        }
        $life = BatteryHours::of($plan, $knowledge->catalogue, $tree, $supply);
        if ($life !== null) {
            $says[] = 'lasts '.BatteryHours::words($life);
        }

        return implode('; ', $says);
    }

    private static function module(SupplyTree $tree, Module $module): FedModule
    {
        $class = $tree->moduleClass($module);
        $volts = $tree->voltsOf($module);
        $load = $tree->loadOf($module);

        return new FedModule(
            $module->id,
            $class->minV <= 0.0 ? 'up to '.Figures::significant($class->maxV).' V' : Figures::significant($class->minV).' to '.Figures::significant($class->maxV).' V',
            $load->typicalMa,
            $load->peakMa,
            $volts?->words(),
            $volts?->isWithin($class->minV, $class->maxV) === true,
        );
    }
}
