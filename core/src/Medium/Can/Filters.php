<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

/**
 * What a controller on SPI lets through: two masks, of which the first goes with two filters and the second with four. A frame comes through
 * where some filter agrees with its identifier wherever the mask has a one. Source: data sheet of the class, from memory.
 */
final readonly class Filters
{
    /** How many filters each mask has. */
    public const BANKS = [2, 4];

    /** Of so many wanted identifiers every way is looked at. */
    private const TRIED_ALL = 8;

    /**
     * @param  list<array{mask: int, extended: bool, filters: list<int>}>  $banks  identifiers as frames have them
     * @param  list<int>  $strangers  identifiers that come through though nobody wants them
     */
    private function __construct(public array $banks, public array $strangers)
    {
    }

    /**
     * With the fewest strangers there can be, for up to eight wanted identifiers ({@see FewestStrangers}); of more, some
     * partings onto the two masks are tried, and under a mask those bits go whose loss lets the fewest in.
     *
     * @param  list<int>  $wanted  with {@see Recording::EXTENDED} where of 29 bits
     * @param  list<int>  $known  all that is known to be on the bus
     */
    public static function for(array $wanted, array $known): self
    {
        $others = array_values(array_diff($known, $wanted));
        if ($wanted !== [] && count($wanted) <= self::TRIED_ALL) {
            return self::of((new FewestStrangers($wanted, $others))->banks(), $others);
        }
        $best = null;
        foreach (self::partings($wanted) as $parting) {
            $made = self::of([self::bank($parting[0], self::BANKS[0], $others), self::bank($parting[1], self::BANKS[1], $others)], $others);
            if ($best === null || count($made->strangers) < count($best->strangers)) {
                $best = $made;
            }
            if ($best->strangers === []) {
                break;
            }
        }

        return $best ?? new self([], []);
    }

    /**
     * @param  list<array{mask: int, extended: bool, filters: list<int>}>  $banks
     * @param  list<int>  $others
     */
    private static function of(array $banks, array $others): self
    {
        return new self($banks, array_values(array_filter($others, static fn (int $id): bool => self::passes($id, $banks))));
    }

    /**
     * @param  list<int>  $wanted
     * @return iterable<array{list<int>, list<int>}>
     */
    private static function partings(array $wanted): iterable
    {
        $short = array_values(array_filter($wanted, static fn (int $id): bool => ! Recording::isExtended($id)));
        $long = array_values(array_filter($wanted, Recording::isExtended(...)));
        if ($short !== [] && $long !== []) {
            // A bank is for identifiers of one length.
            yield [$short, $long];
            yield [$long, $short];

            return;
        }
        $all = [...$short, ...$long];
        $count = count($all);
        for ($at = 0; $at <= $count; $at++) {
            yield [array_slice($all, 0, $at), array_slice($all, $at)];
            yield [array_slice($all, $at), array_slice($all, 0, $at)];
        }
    }

    /**
     * @param  list<int>  $ids
     * @param  list<int>  $others
     * @return array{mask: int, extended: bool, filters: list<int>}
     */
    private static function bank(array $ids, int $filters, array $others): array
    {
        $extended = $ids !== [] && Recording::isExtended($ids[0]);
        $whole = $extended ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST;
        $bare = array_map(Recording::bare(...), $ids);
        $beside = array_map(Recording::bare(...), array_filter($others, static fn (int $id): bool => Recording::isExtended($id) === $extended));
        $under = static fn (int $mask): array => array_fill_keys(array_map(static fn (int $id): int => $id & $mask, $bare), true);
        $mask = $whole;
        $values = $under($mask);
        while (count($values) > $filters) {
            // Of the bits that still part them the one whose loss lets the fewest others in; where no one bit joins two, the lowest.
            $cheapest = [[PHP_INT_MAX, 0], $mask & -$mask];
            for ($bit = 1; $bit <= $whole; $bit <<= 1) {
                $joined = ($mask & $bit) === 0 ? $values : $under($mask & ~$bit);
                if (count($joined) < count($values)) {
                    $in = count(array_filter($beside, static fn (int $id): bool => isset($joined[$id & $mask & ~$bit])));
                    $cheapest = min($cheapest, [[$in, count($joined)], $bit]);
                }
            }
            $mask &= ~$cheapest[1];
            $values = $under($mask);
        }

        return ['mask' => $ids === [] ? $whole : $mask, 'extended' => $extended, 'filters' => array_keys($values)];
    }

    /** @param  list<array{mask: int, extended: bool, filters: list<int>}>  $banks */
    private static function passes(int $id, array $banks): bool
    {
        foreach ($banks as $bank) {
            if ($bank['extended'] === Recording::isExtended($id) && in_array(Recording::bare($id) & $bank['mask'], $bank['filters'], true)) {
                return true;
            }
        }

        return false;
    }

    public function letsThrough(int $id): bool
    {
        return self::passes($id, $this->banks);
    }
}
