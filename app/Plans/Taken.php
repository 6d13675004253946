<?php

declare(strict_types=1);

namespace App\Plans;

/** What was kept of a plan, and what changed of it since. */
final readonly class Taken
{
    /** @param  list<array<string, mixed>>  $changes  the oldest first, by id: what came or changed; null for what went */
    public function __construct(public mixed $value, public array $changes)
    {
    }

    /**
     * @param  list<mixed>  $changes  as they were unpacked
     * @return self|null null where one of them could not be read
     */
    public static function of(mixed $value, array $changes): ?self
    {
        foreach ($changes as $change) {
            if (! is_array($change)) {
                return null;
            }
        }
        /** @var list<array<string, mixed>> $changes */

        return new self($value, $changes);
    }

    /** @return array<string, mixed>|null a list by id, as it is now; null where it is none */
    public function list(): ?array
    {
        if (! is_array($this->value)) {
            return null;
        }
        $list = $this->value;
        foreach ($this->changes as $change) {
            $list = array_filter([...$list, ...$change], static fn (mixed $one): bool => $one !== null);
        }
        /** @var array<string, mixed> $list */

        return $list;
    }
}
