<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Infrared\IrEmitter;

/** More emitters in series than the supply can light. */
#[Finds('ir-led-starved', WorkStep::Links)]
final readonly class LedStarved extends InfraredRule implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $emitter = IrEmitter::of($look->plan, $end->endpoint, $look->catalogue);
        if ($emitter === null || $emitter->resistor() !== null) {
            return [];
        }
        $led = $emitter->end;
        $neededV = $led->leds * $led->forwardV + $emitter->dropV;

        return [Finding::fault(
            "The supply of {$end->node->name} does not light its emitter",
            $end->at('leds'),
            "{$led->leds} in series take ".Figures::significant($neededV).' V with what drives them, and there are '.Figures::significant($led->supplyV).'.',
            'Fewer in series, or a higher supply.',
            Fix::settings('One emitter from 5 V', $end->endpoint, ['leds' => 1, 'supplyV' => 5.0]),
            numbers: ['supply_v' => $led->supplyV, 'needed_v' => round($neededV, 2)],
        )];
    }
}
