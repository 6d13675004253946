<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Shown\AllowedCaller;
use Rundfunk\Medium\Cellular\Shown\CellularEndFigures;
use Rundfunk\Medium\Cellular\Shown\CellularFigures;
use Rundfunk\Medium\Cellular\Shown\LampMeaning;
use Rundfunk\Medium\Cellular\Shown\ModemCommand;
use Rundfunk\Medium\Cellular\Shown\ModemShown;
use Rundfunk\Medium\Cellular\Shown\ModemSupply;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Routes\RouteNames;
use Rundfunk\View\DrawsPanel;

/** The figures of the dialogue: step by step, whom the modem obeys, what each word does, and how its supply bears it. */
final readonly class CellularPanel implements DrawsPanel
{
    public function shape(): string
    {
        return CellularFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): CellularFigures
    {
        $modems = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $modem = Modem::of($plan, $endpoint, $knowledge->catalogue);
            if ($modem !== null) {
                $modems[] = self::modem($plan, $modem, $knowledge);
            }
        }

        return new CellularFigures(
            array_map(static fn (array $one): AllowedCaller => new AllowedCaller($one['name'], $one['number']), Commands::allowed($plan, $link)),
            $modems,
            array_map(static fn (ModemLamp $lamp): LampMeaning => new LampMeaning($lamp->flashes(), $lamp->words()), ModemLamp::cases()),
            array_map(static function (Endpoint $end) use ($plan): CellularEndFigures {
                $number = Commands::number($plan, $end);

                return new CellularEndFigures($end->id, $plan->node($end->nodeId)->kind === NodeKind::Phone, $number?->e164, $number->valid ?? false);
            }, $plan->endpointsOn($link)),
        );
    }

    private static function modem(Plan $plan, Modem $modem, Knowledge $knowledge): ModemShown
    {
        $tree = new SupplyTree($plan, $knowledge->catalogue);
        $droop = $modem->droop($tree);
        $volts = $modem->module === null ? null : $tree->voltsOf($modem->module);

        return new ModemShown(
            $modem->endpoint->id,
            $modem->node->name,
            Dialogue::bringUp($plan, $modem),
            Dialogue::service($plan, $modem),
            Dialogue::report($plan, $modem),
            array_map(static fn (array $one): ModemCommand => new ModemCommand(
                $one['control']->id,
                $plan->node($one['control']->nodeId)->name,
                $one['control']->kind->value,
                Commands::word($one['control']),
                RouteNames::does($plan, $one['route']),
                Commands::needsSecret($one['control']),
                Commands::answers($one['control']),
                $one['output']->isDangerous(),
            ), Commands::to($plan, $modem->endpoint)),
            $droop === null ? null : new ModemSupply(round($droop->firstV(), 2), round($droop->steadyV(), 2), $modem->class->minV ?? 0.0),
            $modem->module?->supplyId === null ? null : $plan->supply($modem->module->supplyId)->name,
            $volts?->words(),
        );
    }
}
