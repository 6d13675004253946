<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Cables\CoreWant;
use Rundfunk\Cables\RunsInCables;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** Which cores a line wants between two neighbours on it, and where it crosses: what speaks goes to what hears, once on the way and not twice. */
final readonly class SerialCables implements RunsInCables
{
    public function cores(Plan $plan, Link $link, string $fromId, string $toId): array
    {
        $line = SerialLine::of($plan, $link);
        $wants = [];
        foreach (self::neighbours($line) as [$one, $other]) {
            $ahead = $one->nodeId === $fromId && $other->nodeId === $toId;
            if ($ahead || ($one->nodeId === $toId && $other->nodeId === $fromId)) {
                [$from, $to] = $ahead ? [$one, $other] : [$other, $one];
                $wants = [...$wants, ...match (true) {
                    $line->settings->topology === Topology::Ring => [self::spoken($link, $ahead)],
                    $line->settings->levels === Levels::Rs485 => [new CoreWant(CoreUse::A, 'A', 'A', false, $link->id), new CoreWant(CoreUse::B, 'B', 'B', false, $link->id)],
                    $line->settings->topology === Topology::Polled => self::handedOn($plan, $line, $link, $from, $to),
                    default => [...($from->role->sends() && $to->role->receives() ? [self::spoken($link, true)] : []), ...($to->role->sends() && $from->role->receives() ? [self::spoken($link, false)] : [])],
                }];
            }
        }

        return $wants;
    }

    public function stretches(Plan $plan, Link $link): array
    {
        return array_map(static fn (array $pair): array => [$pair[0]->nodeId, $pair[1]->nodeId], self::neighbours(SerialLine::of($plan, $link)));
    }

    /** What one says the other hears: here it crosses. */
    private static function spoken(Link $link, bool $ahead): CoreWant
    {
        return $ahead ? new CoreWant(CoreUse::Forward, 'TX', 'RX', true, $link->id) : new CoreWant(CoreUse::Back, 'RX', 'TX', true, $link->id);
    }

    /**
     * The two wires of a line that one asks at logic levels: they cross where the asker is, and from box to box they go straight on.
     *
     * @return list<CoreWant>
     */
    private static function handedOn(Plan $plan, SerialLine $line, Link $link, Endpoint $from, Endpoint $to): array
    {
        $asker = Askers::likely($plan, $line)?->id;

        return match (true) {
            $from->id === $asker, $to->id === $asker => [self::spoken($link, true), self::spoken($link, false)],
            default => [new CoreWant(CoreUse::Forward, 'RX', 'RX', false, $link->id), new CoreWant(CoreUse::Back, 'TX', 'TX', false, $link->id)],
        };
    }

    /** @return list<array{Endpoint, Endpoint}> each end with the next along the cable; in a ring the last with the first */
    private static function neighbours(SerialLine $line): array
    {
        $pairs = [];
        foreach ($line->ends as $at => $end) {
            $next = $line->ends[$at + 1] ?? ($line->settings->topology === Topology::Ring && $at > 0 ? $line->ends[0] : null);
            if ($next !== null && $next->nodeId !== $end->nodeId) {
                $pairs[] = [$end, $next];
            }
        }

        return $pairs;
    }
}
