<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\Rs485Bias;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\Termination;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;

/** Nothing holds a twisted pair quiet while nobody speaks; or several do. */
#[Finds('serial-bias-missing', WorkStep::Links)]
final readonly class BiasMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $wrong = array_values(array_filter(Termination::wrong($look->plan, $link), static fn (array $one): bool => $one[1] === 'biased'));
        if ($wrong === []) {
            return [];
        }
        $ends = $look->plan->endpointsOn($link);
        $on = count(array_filter($ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->biased));
        $terminators = count(array_filter($ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->terminated));
        $bias = new Rs485Bias(5.0, (float) count($ends), min(4, $terminators));

        return [Finding::warning(
            $on === 0 ? "Nothing holds {$link->name} quiet while nobody speaks" : Figures::counted($on, 'place')." hold {$link->name} quiet, and one is enough",
            Spot::of($wrong[0][0], "{$look->plan->node($wrong[0][0]->nodeId)->name} on {$link->name}", 'biased'),
            $on === 0 ? 'Between frames the wires float, and noise is read as the start of a character.' : 'Together they load the drivers as another terminator does.',
            'Two resistors at one place, A to the supply and B to ground: '.Figures::ohms($bias->chosenOhm()).' each at 5 V.',
            new Fix("Bias at {$look->plan->node(self::holder($wrong, $ends)->nodeId)->name}", ...array_map(static fn (array $one): Operation => Operation::change(Endpoint::kind(), $one[0]->id, ['settings' => ['biased' => $one[2]]]), $wrong)),
            numbers: ['on' => $on, 'ohms' => $bias->chosenOhm()],
            about: [$link->id],
        )];
    }

    /**
     * @param  non-empty-list<array{Endpoint, string, bool}>  $wrong
     * @param  list<Endpoint>  $ends
     */
    private static function holder(array $wrong, array $ends): Endpoint
    {
        foreach ($wrong as [$end, , $wanted]) {
            if ($wanted) {
                return $end;
            }
        }
        foreach ($ends as $end) {
            if (SerialEnd::of($end)->biased) {
                return $end;
            }
        }

        return $wrong[0][0];
    }
}
