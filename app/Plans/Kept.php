<?php

declare(strict_types=1);

namespace App\Plans;

use Illuminate\Contracts\Cache\Repository;

/**
 * What was read or worked out of a plan, kept beside the database: putting together thousands of things from their rows
 * takes as long as all the rest of an edit. An entry counts only while the plan's row bears its stamp, which is written in
 * one transaction with the things, and only for the edition of the program that made it: it can be lost, late or left
 * over, but never wrong.
 */
final readonly class Kept
{
    private const SECONDS = 7 * 24 * 3600;

    public function __construct(private Repository $cache, private Edition $edition)
    {
    }

    /**
     * @param  string  $what  a kind of thing, or "findings"
     * @param  string|null  $stamp  of the plan's row; null where nothing was kept
     * @return mixed null when it must be read, or worked out, again
     */
    public function take(string $planId, string $what, ?string $stamp): mixed
    {
        $entry = $stamp === null ? null : $this->cache->get(self::key($planId, $what));
        if (! is_array($entry) || ($entry['stamp'] ?? null) !== $stamp || ($entry['edition'] ?? null) !== $this->edition->name || ! is_string($entry['value'] ?? null)) {
            return null;
        }
        $value = igbinary_unserialize($entry['value']);

        return $value === false ? null : $value;
    }

    public function keep(string $planId, string $what, string $stamp, mixed $value): void
    {
        $this->cache->put(self::key($planId, $what), ['stamp' => $stamp, 'edition' => $this->edition->name, 'value' => igbinary_serialize($value)], self::SECONDS);
    }

    private static function key(string $planId, string $what): string
    {
        return "plan.{$planId}.{$what}";
    }
}
