<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Closure;

/** Ways that were searched once in a look: outputs of one board are mostly made alike, and what does for one does for all. */
final class KnownWays
{
    /** @var array<string, list<list<int>>> */
    private array $known = [];

    /**
     * @param  list<mixed>  $asked  what else the answer hangs on
     * @param  list<Phase>  $wanted
     * @param  list<Remedy>  $remedies
     * @param  Closure(list<Remedy>): list<list<Remedy>>  $search
     * @return list<list<Remedy>>
     */
    public function of(Setup $setup, array $asked, array $wanted, array $remedies, Closure $search): array
    {
        $kinds = array_map(static fn (Remedy $remedy): array => [$remedy->kind, $remedy->makes], $remedies);
        $key = md5(serialize([array_diff_key(get_object_vars($setup), ['pin' => true]), $asked, $wanted, $kinds]));
        if (! isset($this->known[$key])) {
            $this->known[$key] = array_map(static fn (array $set): array => array_map(static fn (Remedy $remedy): int => (int) array_search($remedy, $remedies, true), $set), $search($remedies));
        }

        return array_map(static fn (array $set): array => array_map(static fn (int $index): Remedy => $remedies[$index], $set), $this->known[$key]);
    }
}
