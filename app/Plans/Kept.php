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
     * @return Taken|null null when it must be read, or worked out, again
     */
    public function take(string $planId, string $what, ?string $stamp): ?Taken
    {
        $kept = $stamp === null ? null : $this->entry(self::whole($planId, $what));
        if ($kept === null || ! is_string($kept['value'] ?? null)) {
            return null;
        }
        if ($kept['stamp'] === $stamp) {
            return new Taken(self::unpacked($kept['value']), []);
        }
        $since = $this->entry(self::changes($planId, $what));
        if ($since === null || $since['stamp'] !== $stamp || ($since['of'] ?? null) !== $kept['stamp']) {
            return null;
        }

        return Taken::of(self::unpacked($kept['value']), array_map(self::unpacked(...), self::packedChanges($since)));
    }

    public function keep(string $planId, string $what, string $stamp, mixed $value): void
    {
        $this->put(self::whole($planId, $what), ['stamp' => $stamp, 'value' => self::packed($value)]);
        // Those were changes of the list that was there before.
        $this->unlessItFails(fn (): bool => $this->cache->forget(self::changes($planId, $what)));
    }

    /**
     * What a list came to be by a change of few of its things. Those are put down beside what is kept of it already: packing
     * and writing thousands of things for one that changed takes longer than the change. Whether that list is there still,
     * whoever takes it will see.
     *
     * @param  string|null  $before  the stamp that the list had
     * @param  array<string, mixed>  $change  by id: what came or changed; null for what went
     * @param  int  $count  how many there are now
     * @param  Closure(): mixed  $whole  all of it as it is now, for {@see keep()}
     */
    public function keepChange(string $planId, string $what, ?string $before, string $stamp, array $change, int $count, Closure $whole): void
    {
        $since = $this->entry(self::changes($planId, $what));
        $changes = $since !== null && $since['stamp'] === $before ? self::packedChanges($since) : [];
        $of = $changes === [] ? $before : $since['of'] ?? null;
        if ($of === null || count($changes) >= self::CHANGES || count($change) * 4 > $count) {
            $this->keep($planId, $what, $stamp, $whole());

            return;
        }
        $this->put(self::changes($planId, $what), ['stamp' => $stamp, 'of' => $of, 'changes' => [...$changes, self::packed($change)]]);
    }

    /**
     * What belongs to no plan and is worked out of the program alone: of this edition it never changes.
     *
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @param  Closure(): T  $make
     * @return T
     */
    public function ofProgram(string $what, string $class, Closure $make): object
    {
        $kept = $this->entry(self::ofEdition($what))['value'] ?? null;
        $value = is_string($kept) ? self::unpacked($kept) : null;
        if ($value instanceof $class) {
            return $value;
        }
        $made = $make();
        $this->put(self::ofEdition($what), ['stamp' => $this->edition->name, 'value' => self::packed($made)]);

        return $made;
    }

    /** @return array{stamp: string, ...}|null null where there is none of this edition */
    private function entry(string $key): ?array
    {
        $entry = $this->unlessItFails(fn (): mixed => $this->cache->get($key));

        return is_array($entry) && ($entry['edition'] ?? null) === $this->edition->name && is_string($entry['stamp'] ?? null) ? $entry : null;
    }

    /**
     * @param  array<mixed>  $since
     * @return list<string>
     */
    private static function packedChanges(array $since): array
    {
        /** @var list<string> $changes */
        $changes = is_array($since['changes'] ?? null) ? $since['changes'] : [];

        return $changes;
    }

    /** @param  array{stamp: string, ...}  $entry */
    private function put(string $key, array $entry): void
    {
        $this->unlessItFails(fn (): bool => $this->cache->put($key, ['edition' => $this->edition->name, ...$entry], self::SECONDS));
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

    public static function packed(mixed $value): string
    {
        return igbinary_serialize($value) ?? throw new LogicException('What is kept can be packed.');
    }

    private static function unpacked(string $packed): mixed
    {
        // What cannot be read is as good as lost.
        $value = @igbinary_unserialize($packed);

        return $value === false ? null : $value;
    }

    /** @return array<mixed> what was packed as one */
    public static function unpackedArray(string $packed): array
    {
        $array = self::unpacked($packed);

        return is_array($array) ? $array : throw new LogicException('What was kept whole can be unpacked part by part.');
    }

    /** @return list<mixed> what was packed as a list */
    public static function unpackedList(string $packed): array
    {
        return array_values(self::unpackedArray($packed));
    }

    private static function ofEdition(string $what): string
    {
        return "program.{$what}";
    }

    private static function whole(string $planId, string $what): string
    {
        return "plan.{$planId}.{$what}";
    }

    private static function changes(string $planId, string $what): string
    {
        return "plan.{$planId}.{$what}.changes";
    }
}
