<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Plan\CableCore;
use Rundfunk\Plan\CoreUse;

/** Hands out the cores of a cable. */
final readonly class Cores
{
    /** @return list<CableCore>|null all uses with those that were missing, and without what nothing wants, as far as there are cores; null where nothing is to be changed */
    public static function completed(CableRun $run): ?array
    {
        $idle = $run->idle();
        $uses = array_values(array_filter($run->cable->uses, static fn (CableCore $one): bool => ! in_array($one, $idle, true)));
        $kept = count($uses);
        // A pair wants two that are twisted together, so it chooses before what goes anywhere.
        $missing = $run->missing;
        usort($missing, static fn (CoreWant $one, CoreWant $other): int => self::rank($one) <=> self::rank($other));
        foreach ($missing as $want) {
            $core = self::coreFor($run, $uses, $want);
            if ($core !== null) {
                $uses[] = $want->on($core);
            }
        }
        usort($uses, static fn (CableCore $one, CableCore $other): int => $one->core <=> $other->core);

        return count($uses) === $kept && $idle === [] ? null : $uses;
    }

    /**
     * @param  list<CableCore>  $uses
     * @return list<array{core: int, use: string, linkId: string|null, supplyId: string|null, fromPin: string, toPin: string}> as a cable takes them
     */
    public static function values(array $uses): array
    {
        return array_map(static fn (CableCore $one): array => $one->values(), $uses);
    }

    /** @param  list<CableCore>  $uses */
    public static function words(CableRun $run, array $uses): string
    {
        return implode(', ', array_map(static fn (CableCore $one): string => "{$one->core} ".($run->wantOf($one)?->words() ?? $one->use->words()), $uses));
    }

    /** @param  list<CableCore>  $uses */
    private static function coreFor(CableRun $run, array $uses, CoreWant $want): ?int
    {
        $taken = array_map(static fn (CableCore $one): int => $one->core, $uses);
        $free = array_values(array_diff(range(1, $run->cable->cores), $taken));
        if ($want->use === CoreUse::A) {
            foreach ($free as $core) {
                if ($core % 2 === 1 && in_array($core + 1, $free, true)) {
                    return $core;
                }
            }
        }
        if ($want->use === CoreUse::B) {
            foreach ($uses as $one) {
                if ($one->use === CoreUse::A && $one->linkId === $want->linkId && $one->core % 2 === 1 && in_array($one->core + 1, $free, true)) {
                    return $one->core + 1;
                }
            }
        }

        return $free[0] ?? null;
    }

    private static function rank(CoreWant $want): int
    {
        return match ($want->use) {
            CoreUse::A => 0,
            CoreUse::B => 1,
            CoreUse::Forward => 2,
            CoreUse::Back => 3,
            CoreUse::Plus => 4,
            CoreUse::Ground => 5,
        };
    }
}
