<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use LogicException;

/**
 * The masks and filters that let the fewest strangers through, found by looking at every way: which of the wanted identifiers
 * go to which mask, and which of a mask's share one filter. The best mask for such a grouping has a one wherever every
 * group is of one mind; any other with the same groups lets in as many or more. Meant for up to eight identifiers.
 * Of each option it is kept who comes through, a 0 or a 1 for each stranger.
 *
 * @phpstan-type Bank array{mask: int, extended: bool, filters: list<int>}
 * @phpstan-type Option array{in: string, bank: Bank}
 */
final readonly class FewestStrangers
{
    /**
     * @param  list<int>  $wanted  with {@see Recording::EXTENDED} where of 29 bits
     * @param  list<int>  $others  who else is known on the bus
     */
    public function __construct(private array $wanted, private array $others)
    {
    }

    /** @return list<Bank> the first mask's and the second's */
    public function banks(): array
    {
        $all = (1 << count($this->wanted)) - 1;
        $best = null;
        $fewest = PHP_INT_MAX;
        for ($set = 0; $set <= $all; $set++) {
            $first = $this->options($set, Filters::BANKS[0]);
            $second = $first === [] ? [] : $this->options($all & ~$set, Filters::BANKS[1]);
            foreach ($first as $one) {
                foreach ($second as $other) {
                    $in = substr_count($one['in'] | $other['in'], '1');
                    if ($in === 0) {
                        return [$one['bank'], $other['bank']];
                    }
                    if ($in < $fewest) {
                        [$fewest, $best] = [$in, [$one['bank'], $other['bank']]];
                    }
                }
            }
        }

        return $best ?? throw new LogicException('Up to six filters and two masks let anything through.');
    }

    /** @return list<Option> none where the set cannot go to one mask */
    private function options(int $set, int $filters): array
    {
        $ids = array_values(array_filter($this->wanted, static fn (int $id, int $at): bool => (($set >> $at) & 1) === 1, ARRAY_FILTER_USE_BOTH));
        if ($ids === []) {
            return [['in' => str_repeat('0', count($this->others)), 'bank' => ['mask' => CanFrame::STANDARD_MOST, 'extended' => false, 'filters' => []]]];
        }
        $extended = Recording::isExtended($ids[0]);
        foreach ($ids as $id) {
            if (Recording::isExtended($id) !== $extended) {
                return [];
            }
        }
        $whole = $extended ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST;
        $options = [];
        foreach (self::groupings(array_map(Recording::bare(...), $ids), $whole, $filters) as $mask => $some) {
            $in = '';
            foreach ($this->others as $other) {
                $in .= Recording::isExtended($other) === $extended && isset($some[Recording::bare($other) & $mask]) ? '1' : '0';
            }
            $options[] = ['in' => $in, 'bank' => ['mask' => $mask, 'extended' => $extended, 'filters' => array_keys($some)]];
        }

        return self::worthIt($options);
    }

    /**
     * Every way to put identifiers into so many groups or fewer.
     *
     * @param  non-empty-list<int>  $ids
     * @return array<int, array<int, true>> what the filters are, by mask
     */
    private static function groupings(array $ids, int $whole, int $filters): array
    {
        // Group by group: one of its identifiers, and where all of it agree.
        $ways = [[]];
        foreach ($ids as $id) {
            $more = [];
            foreach ($ways as $groups) {
                foreach ($groups as $at => [$one, $agree]) {
                    $joined = $groups;
                    $joined[$at] = [$one, $agree & ~($one ^ $id)];
                    $more[] = $joined;
                }
                if (count($groups) < $filters) {
                    $more[] = [...$groups, [$id, $whole]];
                }
            }
            $ways = $more;
        }
        $masks = [];
        foreach ($ways as $groups) {
            $mask = $whole;
            foreach ($groups as [, $agree]) {
                $mask &= $agree;
            }
            if (! isset($masks[$mask])) {
                $masks[$mask] = [];
                foreach ($ids as $id) {
                    $masks[$mask][$id & $mask] = true;
                }
            }
        }

        return $masks;
    }

    /**
     * Without those that let in all that another does, and more.
     *
     * @param  list<Option>  $options
     * @return list<Option>
     */
    private static function worthIt(array $options): array
    {
        usort($options, static fn (array $one, array $other): int => substr_count($one['in'], '1') <=> substr_count($other['in'], '1'));
        $worth = [];
        foreach ($options as $option) {
            foreach ($worth as $better) {
                if (($better['in'] & $option['in']) === $better['in']) {
                    continue 2;
                }
            }
            $worth[] = $option;
        }

        return $worth;
    }
}
