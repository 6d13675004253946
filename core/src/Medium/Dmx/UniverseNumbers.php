<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** Which number on the network is whose. */
final readonly class UniverseNumbers
{
    /** @return array<int, non-empty-list<string>> ids of links by number, those that pinned theirs first */
    public static function taken(Plan $plan): array
    {
        $taken = [];
        $links = $plan->linksOver(Dmx::KEY);
        usort($links, static fn (Link $one, Link $other): int => in_array('universe', $other->pinned, true) <=> in_array('universe', $one->pinned, true));
        foreach ($links as $link) {
            $settings = DmxSettings::of($link);
            if ($settings->isNetwork && $settings->universe !== null) {
                $taken[$settings->universe][] = $link->id;
            }
        }

        return $taken;
    }

    /** @param  array<int, non-empty-list<string>>  $taken */
    public static function free(array $taken): int
    {
        $number = 1;
        while (isset($taken[$number])) {
            $number++;
        }

        return $number;
    }
}
