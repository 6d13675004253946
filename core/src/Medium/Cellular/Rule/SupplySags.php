<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Figures;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;

/** A supply that sags below what the modem needs when it sends. */
#[Finds('cell-supply-sags', WorkStep::Links)]
final readonly class SupplySags implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $droop = $modem->droop();
        $leastV = $modem->class->minV ?? 0.0;
        $none = $modem->figures->has('burstA') && $modem->end->capacitorUf === 0;
        if (! $none && ($droop === null || $droop->steadyV() >= $leastV)) {
            return [];
        }
        $enough = self::enough($modem, $leastV);

        return [Finding::fault(
            $none ? "{$modem->node->name} has no capacitor at its modem" : 'The modem of '.$modem->node->name.' sags to '.Figures::significant($droop->steadyV()).' V when it sends',
            Spot::of($modem->endpoint, $modem->where(), 'capacitorUf'),
            ($droop === null ? '' : 'The first burst takes it to '.Figures::significant($droop->firstV()).' V, and the next comes before it has recovered. ')
                .'Below '.Figures::significant($leastV).' V it drops off the network or starts again, and the lamp blinks as if it were searching.',
            'A stiffer supply, short thick wires, and 1000 µF or more right at its pins.',
            $enough === null ? null : Fix::settings("Put {$enough} µF there", $modem->endpoint, ['capacitorUf' => $enough]),
            numbers: ['first_v' => $droop === null ? null : round($droop->firstV(), 2), 'steady_v' => $droop === null ? null : round($droop->steadyV(), 2), 'least_v' => $leastV],
        )];
    }

    /** The smallest of the usual capacitors that is enough; null when none is. */
    private static function enough(Modem $modem, float $leastV): ?int
    {
        $end = $modem->end;
        foreach ([1_000, 2_200, 3_300, 4_700, 6_800, 10_000] as $uf) {
            $droop = new BurstDroop($end->supplyV, $end->sourceOhm, $uf / 1e6, $end->esrOhm, $modem->figures->number('burstA'), $modem->figures->number('burstS'), $modem->figures->number('periodS'));
            if ($uf > $end->capacitorUf && $droop->steadyV() >= $leastV) {
                return $uf;
            }
        }

        return null;
    }
}
