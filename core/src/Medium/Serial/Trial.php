<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;

/** A change of a line that is offered only where it does not put boards onto one wire that do not stand each other. */
final readonly class Trial
{
    /**
     * Other settings of a line, with the time to wait that they want.
     *
     * @param  array<string, bool|float|int|string|null>  $settings  those that change
     */
    public static function settings(string $label, Look $look, Link $link, array $settings): ?Fix
    {
        return self::offered($look, $link, new Fix($label, Operation::change(Link::kind(), $link->id, ['settings' => self::timed($look, $link, $settings)])));
    }

    /**
     * @param  array<string, bool|float|int|string|null>  $settings
     * @return array<string, bool|float|int|string|null>
     */
    public static function timed(Look $look, Link $link, array $settings): array
    {
        $changed = SerialLine::of($look->plan, new Link($link->id, $link->name, $link->medium, [...$link->settings, ...$settings]));
        $now = $changed->settings->timeoutMs;

        return $now === null || $now >= $changed->leastTimeoutMs() ? $settings : [...$settings, 'timeoutMs' => $changed->leastTimeoutMs()];
    }

    /** @return Fix|null the same, or null where it would bring levels that do not fit */
    public static function offered(Look $look, Link $link, Fix $fix): ?Fix
    {
        $draft = $look->plan->draft();
        foreach ($fix->operations as $operation) {
            $thing = $operation->kind === null ? null : $look->plan->find($operation->kind, $operation->id);
            if ($thing instanceof Link || $thing instanceof Endpoint) {
                $values = $operation->values;
                $draft->change($thing, isset($values['settings']) && is_array($values['settings']) ? [...$values, 'settings' => [...$thing->settings, ...$values['settings']]] : $values);
            }
        }
        $after = new Look($draft->plan(), $look->knowledge);

        return array_diff(self::misfits($after, $after->plan->link($link->id)), self::misfits($look, $link)) === [] ? $fix : null;
    }

    /** @return list<string> which wires, and how */
    private static function misfits(Look $look, Link $link): array
    {
        $line = SerialLine::of($look->plan, $link);
        $misfits = [];
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            $wire = SerialWire::on($line, $speaker, $listener, $look);
            foreach ($wire === null ? [] : array_filter(['too high' => $wire->isTooHigh(), 'too low' => $wire->isTooLow(), 'low too high' => $wire->isLowTooHigh()]) as $how => $is) {
                $misfits[] = "{$speaker->endpoint->id} {$listener->endpoint->id} {$how}";
            }
        }

        return $misfits;
    }
}
