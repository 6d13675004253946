<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Contracts\Cache\Repository;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

/**
 * What was read of a plan, kept beside the database: putting together thousands of things from their rows takes as long as
 * all the rest of an edit. An entry counts only while the plan's row bears its stamp, and that is written in one
 * transaction with the things, so that an entry can be lost, late or left over, but never wrong.
 */
final readonly class KeptThings
{
    private const SECONDS = 7 * 24 * 3600;

    public function __construct(private Repository $cache)
    {
    }

    /**
     * @param  string|null  $stamp  of the plan's row; null where nothing was kept
     * @return array<string, Thing>|null by id; null when they must be read from the database
     */
    public function take(string $planId, ThingKind $kind, ?string $stamp): ?array
    {
        $entry = $stamp === null ? null : $this->cache->get(self::key($planId, $kind));
        if (! is_array($entry) || ($entry['stamp'] ?? null) !== $stamp || ! is_string($entry['things'] ?? null)) {
            return null;
        }
        /** @var array<string, Thing>|false|null $things */
        $things = igbinary_unserialize($entry['things']);

        return is_array($things) ? $things : null;
    }

    /** @param  array<string, Thing>  $things by id */
    public function keep(string $planId, ThingKind $kind, string $stamp, array $things): void
    {
        $this->cache->put(self::key($planId, $kind), ['stamp' => $stamp, 'things' => igbinary_serialize($things)], self::SECONDS);
    }

    private static function key(string $planId, ThingKind $kind): string
    {
        return "plan.{$planId}.{$kind->value}";
    }
}
