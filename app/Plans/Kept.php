<?php

declare(strict_types=1);

namespace App\Plans;

use Closure;
use Illuminate\Contracts\Cache\Repository;
use LogicException;
use Throwable;

/**
 * What was read or worked out of a plan, kept beside the database: putting together thousands of things from their rows
 * takes as long as all the rest of an edit. An entry counts only while the plan's row bears its stamp, which is written in
 * one transaction with the things, and only for the edition of the program that made it: it can be lost, late or left
 * over, but never wrong.
 */
final readonly class Kept
{
    private const SECONDS = 7 * 24 * 3600;

    /** So many changes are put down beside a list before it is packed anew. */
    private const CHANGES = 16;

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
        $entry = $stamp === null ? null : $this->entry($planId, $what, $stamp);
        $value = $entry === null ? false : igbinary_unserialize($entry['value']);
        foreach ($entry['changes'] ?? [] as $packed) {
            $change = igbinary_unserialize($packed);
            if (! is_array($value) || ! is_array($change)) {
                return null;
            }
            foreach ($change as $id => $thing) {
                if ($thing === null) {
                    unset($value[$id]);
                } else {
                    $value[$id] = $thing;
                }
            }
        }

        return $value === false ? null : $value;
    }

    public function keep(string $planId, string $what, string $stamp, mixed $value): void
    {
        $this->put($planId, $what, $stamp, ['value' => self::packed($value), 'changes' => []]);
    }

    /**
     * What a list came to be by a change of few of its things. Those are put down beside what is kept of it already: packing
     * thousands of things for one that changed takes longer than the change.
     *
     * @param  string|null  $before  the stamp that the list had
     * @param  array<string, mixed>  $list  by id, as it is now
     * @param  list<string>  $changed  ids of what came, changed or went, which is put down as null
     */
    public function keepChange(string $planId, string $what, ?string $before, string $stamp, array $list, array $changed): void
    {
        $entry = $before === null ? null : $this->entry($planId, $what, $before);
        if ($entry === null || count($entry['changes']) >= self::CHANGES || count($changed) * 4 > count($list)) {
            $this->keep($planId, $what, $stamp, $list);

            return;
        }
        $change = array_map(static fn (string $id): mixed => $list[$id] ?? null, array_combine($changed, $changed));
        $this->put($planId, $what, $stamp, ['value' => $entry['value'], 'changes' => [...$entry['changes'], self::packed($change)]]);
    }

    /** @return array{value: string, changes: list<string>}|null packed; null where there is none of this stamp and edition */
    private function entry(string $planId, string $what, string $stamp): ?array
    {
        $entry = $this->unlessItFails(fn (): mixed => $this->cache->get(self::key($planId, $what)));
        if (! is_array($entry) || ($entry['stamp'] ?? null) !== $stamp || ($entry['edition'] ?? null) !== $this->edition->name || ! is_string($entry['value'] ?? null)) {
            return null;
        }
        /** @var list<string> $changes */
        $changes = is_array($entry['changes'] ?? null) ? $entry['changes'] : [];

        return ['value' => $entry['value'], 'changes' => $changes];
    }

    /** @param  array{value: string, changes: list<string>}  $packed */
    private function put(string $planId, string $what, string $stamp, array $packed): void
    {
        $this->unlessItFails(fn (): bool => $this->cache->put(self::key($planId, $what), ['stamp' => $stamp, 'edition' => $this->edition->name, ...$packed], self::SECONDS));
    }

    /**
     * A full disk, or a folder that nobody may write to, makes an edit slower and never fails it.
     *
     * @param  Closure(): mixed  $work
     */
    private function unlessItFails(Closure $work): mixed
    {
        try {
            return $work();
        } catch (Throwable $failure) {
            report($failure);

            return null;
        }
    }

    private static function packed(mixed $value): string
    {
        return igbinary_serialize($value) ?? throw new LogicException('What is kept can be packed.');
    }

    private static function key(string $planId, string $what): string
    {
        return "plan.{$planId}.{$what}";
    }
}
