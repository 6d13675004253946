<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Endpoint;

/** Under which identifiers nodes of ours command: by how soon it has to be there, clear of all that others send. */
final readonly class Identifiers
{
    /** Where a search begins: what is dangerous or moves, what somebody presses, what can wait. Room is left below for what is more urgent still. */
    private const FROM = [100 => 0x100, 250 => 0x200, PHP_INT_MAX => 0x400];

    /** @return int|null the lowest that is free for its urgency */
    public static function free(CanBus $bus, Endpoint $endpoint): ?int
    {
        $deadlineMs = $bus->deadlineMs($endpoint);
        $taken = self::taken($bus, $endpoint);
        foreach (self::FROM as $ms => $from) {
            if ($deadlineMs <= $ms) {
                for ($id = $from; $id <= CanFrame::STANDARD_MOST; $id++) {
                    if (! isset($taken[$id])) {
                        return $id;
                    }
                }
            }
        }

        return null;
    }

    /** @return int|null a lower one with which it is in time, and nothing becomes late that was not: as little lower as that takes */
    public static function urgent(CanBus $bus, Endpoint $endpoint): ?int
    {
        $taken = self::taken($bus, $endpoint);
        $now = $bus->end($endpoint)->identifier;
        $others = array_values(array_filter($bus->apart(), static fn (Traffic $one): bool => $one->message !== null || $one->end->id !== $endpoint->id));
        $own = array_values(array_filter($bus->apart(), static fn (Traffic $one): bool => $one->message === null && $one->end->id === $endpoint->id))[0] ?? null;
        if ($now === null || $own === null) {
            return null;
        }
        $before = $bus->responses();
        $inTime = $before === null ? [] : array_filter($others, static fn (Traffic $one): bool => ! self::isLate($one->sent, $before));
        foreach (array_reverse($others) as $other) {
            $id = ($other->sent->extended ? $other->sent->id >> 18 : $other->sent->id) - 1;
            while ($id >= 0 && isset($taken[$id])) {
                $id--;
            }
            if ($id < 0 || $id >= $now) {
                continue;
            }
            $moved = new Sent($id, false, $own->sent->bytes, $own->sent->periodNs, $own->sent->deadlineNs);
            $after = new ResponseTimes($bus->settings->bitrate, [$moved, ...array_map(static fn (Traffic $one): Sent => $one->sent, array_slice($others, 0, ResponseTimes::MOST_MESSAGES - 1))]);
            if (! self::isLate($moved, $after) && ! self::anyLate($inTime, $after)) {
                return $id;
            }
        }

        return null;
    }

    private static function isLate(Sent $sent, ResponseTimes $times): bool
    {
        $worst = $times->worstNs($sent);

        return $worst === null || $worst > $sent->deadlineNs;
    }

    /** @param  array<Traffic>  $traffic */
    private static function anyLate(array $traffic, ResponseTimes $times): bool
    {
        foreach ($traffic as $one) {
            if (self::isLate($one->sent, $times)) {
                return true;
            }
        }

        return false;
    }

    /** @return array{listenOnly: false, identifier: int}|null what lets an end speak that only listened: under an identifier that nobody else sends; null where none is free */
    public static function speaking(CanBus $bus, Endpoint $endpoint): ?array
    {
        $now = $bus->end($endpoint)->identifier;
        $id = $now === null || isset(self::taken($bus, $endpoint)[$now]) ? self::free($bus, $endpoint) : $now;

        return $id === null ? null : ['listenOnly' => false, 'identifier' => $id];
    }

    /** @return array<int, true> short identifiers that somebody else sends */
    private static function taken(CanBus $bus, Endpoint $endpoint): array
    {
        $taken = [];
        foreach ($bus->ends as $end) {
            $settings = $bus->end($end);
            if ($end->id !== $endpoint->id && $settings->identifier !== null) {
                $taken[$settings->identifier] = true;
            }
            foreach ($settings->messages as $message) {
                if (! $message->of->extended) {
                    $taken[$message->of->identifier] = true;
                }
            }
        }

        return $taken;
    }
}
