<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** More emitters in series than the supply can light. */
final readonly class LedStarved extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-led-starved';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::emitters($plan, $knowledge) as ['link' => $link, 'endpoint' => $endpoint, 'node' => $node, 'emitter' => $emitter]) {
            if ($emitter->resistor() !== null) {
                continue;
            }
            $end = $emitter->end;
            $neededV = $end->leds * $end->forwardV + $emitter->dropV;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "The supply of {$node->name} does not light its emitter",
                Subject::of($endpoint, "{$node->name} on {$link->name}", 'leds'),
                ['supply_v' => $end->supplyV, 'needed_v' => round($neededV, 2)],
                "{$end->leds} in series take ".Figures::significant($neededV).' V with what drives them, and there are '.Figures::significant($end->supplyV).'.',
                'Fewer in series, or a higher supply.',
                self::setEnd($endpoint, 'One emitter from 5 V', ['leds' => 1, 'supplyV' => 5.0]),
            );
        }
    }
}
