<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Build\ListsParts;
use Rundfunk\Build\PartLine;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** The resistor before an emitter, worked out of its current and supply; and the one at the transistor's base. */
final readonly class IrParts implements ListsParts
{
    public function partLines(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        $emitter = IrEmitter::of($plan, $endpoint, $knowledge->catalogue);
        $resistor = $emitter?->resistor();
        if ($emitter === null || $resistor === null) {
            return [];
        }
        $module = $plan->module((string) $endpoint->moduleId);
        $where = "{$plan->node($endpoint->nodeId)->name}: {$module->name}";
        $lines = [PartLine::one('resistor '.Figures::ohms($resistor->chosenOhm()), Figures::significant($resistor->advisedRatingMw() / 1000).' W', $where, at: 'in series with the emitter')];

        return $emitter->onPin ? $lines : [...$lines, PartLine::one('resistor 1 kΩ', '0.25 W', $where, at: 'before the transistor')];
    }
}
