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
use Rundfunk\Power\SupplyTree;

/** A resistor that is worked out for another voltage than the emitter gets. */
#[Finds('ir-supply-differs', WorkStep::Links)]
final readonly class EmitterSupplyDiffers extends InfraredRule implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $emitter = IrEmitter::of($look->plan, $end->endpoint, $look->catalogue);
        $getsV = $emitter?->getsV($look->plan, $end->endpoint, $look->catalogue, SupplyTree::in($look));
        if ($emitter === null || $getsV === null || ! $emitter->isForAnother($getsV)) {
            return [];
        }
        $saysV = $emitter->end->supplyV;
        $gets = Figures::significant($getsV);

        return [Finding::fault(
            "The resistor of {$end->node->name}'s emitter is for ".Figures::significant($saysV)." V, and it gets {$gets}",
            $end->at('supplyV'),
            $getsV > $saysV ? 'More current than was meant goes through it: it is dead after some hundred presses.' : 'Less current than was meant goes through it, and it does not reach.',
            "Work it out for {$gets} V, or feed it with what it was worked out for.",
            Fix::settings("Work it out for {$gets} V", $end->endpoint, ['supplyV' => round($getsV, 1)]),
            numbers: ['says_v' => $saysV, 'gets_v' => $getsV],
        )];
    }
}
