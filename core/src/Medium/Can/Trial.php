<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;

/** A bus as it would be with other settings. */
final readonly class Trial
{
    /** @param  array<string, bool|float|int|string|null>  $settings  those that change */
    public static function of(Link $link, array $settings): Link
    {
        return new Link($link->id, $link->name, $link->medium, [...$link->settings, ...$settings]);
    }

    /** Whether a bus at that rate has time for all that is said, nothing comes late that did not, and every controller of ours makes it. */
    public static function suits(Look $look, CanBus $bus, int $bitrate): bool
    {
        $changed = CanBus::of($look->plan, self::of($bus->link, ['bitrate' => $bitrate]));
        $settings = $changed->settings;
        if ($changed->load() > 0.5 || ($settings->lengthM ?? 0.0) > $settings->reachM() || ! self::everyClock($look, $bus, $bitrate)) {
            return false;
        }
        foreach ($changed->ends as $end) {
            if ($changed->end($end)->stubM > $settings->stubM() && $changed->end($end)->stubM <= $bus->settings->stubM()) {
                return false;
            }
        }

        return self::late($changed) === [];
    }

    /** @return array{listenOnly: false, identifier: int}|null what lets an end speak that only listened; null where no identifier is free, or something would come late because of it */
    public static function speaking(Look $look, CanBus $bus, Endpoint $endpoint): ?array
    {
        $settings = Identifiers::speaking($bus, $endpoint);
        $draft = $look->plan->draft();
        $draft->change($endpoint, ['settings' => [...$endpoint->settings, ...$settings ?? []]]);

        return $settings !== null && self::keepsTime($bus, CanBus::of($draft->plan(), $bus->link)) ? $settings : null;
    }

    /** Whether nothing comes late that did not before, and there is time for all. */
    public static function keepsTime(CanBus $before, CanBus $after): bool
    {
        return ($after->load() <= 1.0 || $before->load() > 1.0) && array_diff(self::late($after), self::late($before)) === [];
    }

    /** @return list<int> ranks of what may come later than it has to */
    private static function late(CanBus $bus): array
    {
        $responses = $bus->responses();
        $late = array_filter($bus->apart(), static fn (Traffic $one): bool => ($responses?->worstNs($one->sent) ?? PHP_INT_MAX) > $one->sent->deadlineNs);

        return array_values(array_map(static fn (Traffic $one): int => $one->sent->rank(), $late));
    }

    /** Whether every controller of ours makes that rate. */
    public static function everyClock(Look $look, CanBus $bus, int $bitrate): bool
    {
        $settings = CanSettings::of(self::of($bus->link, ['bitrate' => $bitrate]));
        foreach ($bus->ends as $end) {
            $class = $end->moduleId === null ? null : $look->catalogue->classOf($look->plan->module($end->moduleId));
            $timing = $class === null ? null : Clock::timing($settings, $bus->end($end), $class);
            if ($class !== null && ($timing === null || abs($timing->bitrate() / $bitrate - 1) > 0.0025)) {
                return false;
            }
        }

        return true;
    }
}
