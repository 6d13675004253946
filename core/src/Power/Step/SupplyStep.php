<?php

declare(strict_types=1);

namespace Rundfunk\Power\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Plan\ThingKind;

/** Where a module takes its current, while the plan does not say: the board's own pin when it can bear it. */
final readonly class SupplyStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Supply;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            $board = $knowledge->catalogue->boardOf($node);
            if ($board === null) {
                continue;
            }
            $drawn = [];
            $hasAdapter = false;
            foreach ($plan->modulesOf($node) as $module) {
                $class = $knowledge->catalogue->classOf($module);
                $drawn[$module->supply->value ?? ''] = ($drawn[$module->supply->value ?? ''] ?? 0.0) + $class->peakMa;
                $hasAdapter = $hasAdapter || $class->givesMa !== null;
            }
            foreach ($plan->modulesOf($node) as $module) {
                $class = $knowledge->catalogue->classOf($module);
                if ($module->supply !== null || $class->peakMa === 0.0) {
                    continue;
                }
                [$supply, $reason] = self::choose($board, $class, $drawn, $hasAdapter);
                $drawn[$supply->value] = ($drawn[$supply->value] ?? 0.0) + $class->peakMa;
                $operations = [Operation::change(ThingKind::Module, $module->id, ['supply' => $supply->value])];
                if ($supply === SupplyFrom::Adapter && ! $hasAdapter) {
                    array_unshift($operations, Operation::add(new Module($plan->newId('adapter', $node->id), $node->id, 'regulator-adapter', 'Regulator', SupplyFrom::Board5V, 90)));
                    $hasAdapter = true;
                }
                yield new Proposal($this->stage(), Spot::of($module, "{$node->name}, {$module->name}", 'supply'), "Supply of {$module->name}", null, $supply->words(), $reason, $operations);
            }
        }
    }

    /**
     * @param  array<string, float>  $drawn
     * @return array{SupplyFrom, string}
     */
    private static function choose(Board $board, ModuleClass $class, array $drawn, bool $hasAdapter): array
    {
        $peak = Figures::significant($class->peakMa);
        foreach ($board->rails as $rail) {
            $fits = $rail->volts >= $class->minV && $rail->volts <= $class->maxV;
            if ($fits && ($drawn[$rail->supply->value] ?? 0.0) + $class->peakMa <= $rail->limitMa) {
                return [$rail->supply, "{$peak} mA at most, and the pin is good for ".Figures::significant($rail->limitMa).' mA.'];
            }
        }
        if ($class->maxV < 4.75) {
            return [SupplyFrom::Adapter, "It peaks at {$peak} mA, more than the board's own 3.3 V pin gives.".($hasAdapter ? '' : ' The adapter is added.')];
        }

        return [SupplyFrom::Own, "It peaks at {$peak} mA, more than the board's own pin gives beside the rest."];
    }
}
