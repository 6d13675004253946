<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** How much cable a link runs in. */
final readonly class Laid
{
    /** @return list<float> metres, stretch by stretch; 0 where none is laid, or nobody said how long it is */
    public static function metres(Plan $plan, Link $link, RunsInCables $runs): array
    {
        return array_map(static fn (array $stretch): float => max(self::from($plan, $link, $stretch[0], $stretch[1]), self::from($plan, $link, $stretch[1], $stretch[0])), $runs->stretches($plan, $link));
    }

    private static function from(Plan $plan, Link $link, string $from, string $to): float
    {
        $longest = 0.0;
        foreach ($plan->having(Cable::class, 'fromId', $from) as $cable) {
            $carries = array_filter($cable->uses, static fn (CableCore $core): bool => $core->linkId === $link->id) !== [];
            $longest = max($longest, $carries && $cable->toId === $to ? $cable->lengthM ?? 0.0 : 0.0);
        }

        return $longest;
    }
}
