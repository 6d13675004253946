<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Deliberate;

/** Who gets which address: as few as can be are changed, then the last slot is as low as can be, and those that belong together stand one behind the other. */
final readonly class Patch
{
    /** @return array<string, int> by end, only those that must change; none for what does not fit */
    public static function of(Universe $universe): array
    {
        $taking = array_values(array_filter($universe->patched, static fn (Patched $one): bool => $one->footprint > 0));
        $kept = self::kept($taking);
        $changed = self::placed($taking, $kept);
        if ($changed === null) {
            // What stays leaves no room between: then only what is pinned stays.
            $pinned = array_filter($kept, static fn (Patched $one): bool => $one->end->pins('start'));
            $changed = self::placed($taking, $pinned);
        }

        return array_filter($changed ?? [], static fn (int $start, string $end): bool => self::named($taking, $end)?->settings->start !== $start, ARRAY_FILTER_USE_BOTH);
    }

    /** @return int|null the lowest first slot at which an end would be in nobody's way */
    public static function free(Universe $universe, Patched $one): ?int
    {
        $taken = [];
        foreach ($universe->patched as $other) {
            if ($other->end->id !== $one->end->id && $other->last() !== null) {
                $taken[] = [(int) $other->settings->start, $other->last()];
            }
        }
        $switches = $one->switches();
        for ($start = 1; $start + $one->footprint - 1 <= DmxFrame::MOST_SLOTS; $start++) {
            $last = $start + $one->footprint - 1;
            if (array_filter($taken, static fn (array $span): bool => $start <= $span[1] && $span[0] <= $last) === [] && ($switches === null || $switches->for($start) !== null)) {
                return $one->footprint > 0 ? $start : null;
            }
        }

        return null;
    }

    /** Whether an end may share what another has: both say that it is meant, stand at one address and are alike. */
    public static function mirrors(Patched $one, Patched $other): bool
    {
        return $one->settings->start !== null && $one->settings->start === $other->settings->start && ($one->end->means(Deliberate::Broadcast) || $other->end->means(Deliberate::Broadcast)) && $one->isLike($other);
    }

    /**
     * The most that can stay: what is pinned, and of the rest, whoever ends first. A block that is not whole and in turn is given anew.
     *
     * @param  list<Patched>  $taking
     * @return array<string, Patched> by end
     */
    private static function kept(array $taking): array
    {
        $kept = [];
        $sound = array_filter($taking, static fn (Patched $one): bool => $one->last() !== null && ($one->end->pins('start') || ($one->last() <= DmxFrame::MOST_SLOTS && ($one->switches() === null || $one->set() !== null))));
        usort($sound, static fn (Patched $one, Patched $other): int => [! $one->end->pins('start'), $one->last()] <=> [! $other->end->pins('start'), $other->last()]);
        foreach ($sound as $one) {
            $free = $one->end->pins('start') || array_filter($kept, static fn (Patched $other): bool => $one->overlaps($other) && ! self::mirrors($one, $other)) === [];
            if ($free) {
                $kept[$one->end->id] = $one;
            }
        }
        foreach (self::blocks($taking) as $block) {
            $loose = array_values(array_filter($block, static fn (Patched $one): bool => ! $one->end->pins('start')));
            $next = null;
            $whole = true;
            foreach ($loose as $one) {
                $whole = $whole && isset($kept[$one->end->id]) && ($next === null || $one->settings->start === $next);
                $next = ($one->last() ?? 0) + 1;
            }
            foreach (! $whole && count($loose) > 1 ? $loose : [] as $one) {
                unset($kept[$one->end->id]);
            }
        }

        return $kept;
    }

    /**
     * @param  list<Patched>  $taking
     * @return list<list<Patched>> those that belong together, and each of the others for itself, in the order of the first of each
     */
    private static function blocks(array $taking): array
    {
        $blocks = [];
        foreach ($taking as $one) {
            $blocks[$one->settings->together === '' ? $one->end->id : "together {$one->settings->together}"][] = $one;
        }

        return array_values($blocks);
    }

    /**
     * @param  list<Patched>  $taking
     * @param  array<string, Patched>  $kept
     * @return array<string, int>|null null where they do not fit
     */
    private static function placed(array $taking, array $kept): ?array
    {
        $taken = array_values(array_map(static fn (Patched $one): array => [(int) $one->settings->start, (int) $one->last()], $kept));
        $blocks = [];
        foreach (self::blocks($taking) as $block) {
            $loose = array_values(array_filter($block, static fn (Patched $one): bool => ! isset($kept[$one->end->id])));
            if ($loose !== []) {
                $blocks[] = $loose;
            }
        }
        $starts = Packing::of($taken, array_map(static fn (array $block): int => array_sum(array_map(static fn (Patched $one): int => $one->footprint, $block)), $blocks));
        if ($starts === null) {
            return null;
        }
        $placed = [];
        foreach ($blocks as $at => $block) {
            $next = $starts[$at];
            foreach ($block as $one) {
                $placed[$one->end->id] = $next;
                $next += $one->footprint;
            }
        }

        return $placed;
    }

    /** @param  list<Patched>  $taking */
    private static function named(array $taking, string $end): ?Patched
    {
        foreach ($taking as $one) {
            if ($one->end->id === $end) {
                return $one;
            }
        }

        return null;
    }
}
