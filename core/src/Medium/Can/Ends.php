<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Ends of buses, looked up. */
final readonly class Ends
{
    /** @return list<Endpoint> those of a node */
    public static function of(Plan $plan, Node $node): array
    {
        return array_values(array_filter($plan->endpointsOf($node), static fn (Endpoint $end): bool => $plan->link($end->linkId)->medium === Can::KEY));
    }

    /** @return array<string, bool|int> what sets its resistor right: on where it is off, and then of 120 Ω */
    public static function turned(CanEnd $end): array
    {
        return $end->terminated ? ['terminated' => false] : ['terminated' => true, ...($end->terminatorOhm === (int) Termination::MEANT_OHM ? [] : ['terminatorOhm' => (int) Termination::MEANT_OHM])];
    }

    /** @return list<Endpoint> whose resistor is on where it should be off, or off where it should be on: at the first and the last along the cable */
    public static function wrongTerminators(CanBus $bus): array
    {
        $last = count($bus->ends) - 1;

        return array_values(array_filter($bus->ends, static fn (Endpoint $end, int $at): bool => $bus->end($end)->terminated !== ($at === 0 || $at === $last), ARRAY_FILTER_USE_BOTH));
    }

    /** @return list<array{end: Endpoint, to: array<string, bool|int>}> what sets all resistors of a bus right: 120 Ω at its two ends, off between */
    public static function changed(CanBus $bus): array
    {
        $wrong = self::wrongTerminators($bus);
        $changed = [];
        foreach ($bus->ends as $end) {
            $settings = $bus->end($end);
            $unlike = $settings->terminated && $settings->terminatorOhm !== (int) Termination::MEANT_OHM;
            if (in_array($end, $wrong, true)) {
                $changed[] = ['end' => $end, 'to' => self::turned($settings)];
            } elseif ($unlike) {
                $changed[] = ['end' => $end, 'to' => ['terminatorOhm' => (int) Termination::MEANT_OHM]];
            }
        }

        return $changed;
    }
}
