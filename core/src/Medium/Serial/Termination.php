<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** Where the resistors of a twisted pair belong. Source: TIA/EIA-485-A; where to bias is common practice. */
final readonly class Termination
{
    /** @return list<array{Endpoint, string, bool}> what is set otherwise than it should be: end, setting, how it should be */
    public static function wrong(Plan $plan, Link $link): array
    {
        $line = SerialLine::of($plan, $link);
        if ($line->settings->levels !== Levels::Rs485 || count($line->ends) < 2) {
            return [];
        }
        $outer = [$line->ends[0]->id => true, $line->ends[count($line->ends) - 1]->id => true];
        $wrong = [];
        foreach ($line->ends as $end) {
            $wanted = isset($outer[$end->id]);
            if (SerialEnd::of($end)->terminated !== $wanted) {
                $wrong[] = [$end, 'terminated', $wanted];
            }
        }

        $biased = array_values(array_filter($line->ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->biased));
        // Whoever is meant to hold it: one that does already, the one that is pinned to, or the one that asks.
        $free = array_values(array_filter($line->ends, static fn (Endpoint $end): bool => ! $end->pins('biased')));
        $holder = $biased[0] ?? ($line->asker() !== null && ! $line->asker()->pins('biased') ? $line->asker() : $free[0] ?? null);
        foreach ($line->ends as $end) {
            $is = SerialEnd::of($end)->biased;
            if ($holder !== null && $is !== ($end->id === $holder->id)) {
                $wrong[] = [$end, 'biased', ! $is];
            }
        }

        return $wrong;
    }
}
