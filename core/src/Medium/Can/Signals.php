<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** Signals of what was bought, looked up. */
final readonly class Signals
{
    /**
     * @param  list<Endpoint>  $ends  of one node
     * @return array{CanMessage, CanSignal}|null
     */
    public static function of(Plan $plan, array $ends, ?string $name): ?array
    {
        foreach ($ends as $end) {
            $found = CanEnd::of($plan, $end)->signal($name);
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * The signal of a reading's name, or the only one that no other reading is.
     *
     * @param  list<Endpoint>  $ends
     */
    public static function likely(Plan $plan, array $ends, Control $control): ?string
    {
        $taken = array_map(static fn (Control $other): ?string => $other->id === $control->id ? null : $other->terminal, $plan->controlsOf($plan->node($control->nodeId)));
        $free = [];
        foreach ($ends as $end) {
            foreach (CanEnd::of($plan, $end)->messages as $message) {
                foreach ($message->signals as $signal) {
                    if (mb_strtolower($signal->name) === mb_strtolower(trim($control->name))) {
                        return $signal->name;
                    }
                    if (! in_array($signal->name, $taken, true)) {
                        $free[$signal->name] = true;
                    }
                }
            }
        }

        return count($free) === 1 ? array_key_first($free) : null;
    }
}
