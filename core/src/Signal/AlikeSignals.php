<?php

declare(strict_types=1);

namespace Rundfunk\Signal;

/**
 * Which of many signals may be taken for each other, without comparing each with each. Where the lengths at one place of the
 * signals leave a gap that no two alike can lie on both sides of, as long and short bits do, the gap parts them: what is left
 * to compare is what falls between the same gaps everywhere.
 */
final readonly class AlikeSignals
{
    /** Parting again what was parted finds gaps that others had filled. */
    private const ROUNDS = 4;

    /** @var array<int, list<int>> for each signal, those it must be compared with, itself among them, in order */
    private array $groups;

    /** @param  array<int, Signal>  $signals  in order */
    public function __construct(private array $signals)
    {
        $groups = [];
        foreach ($signals as $at => $signal) {
            $groups[count($signal->lengthsNs)][] = $at;
        }
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $parted = [];
            foreach ($groups as $group) {
                array_push($parted, ...$this->parted($group));
            }
            $settled = count($parted) === count($groups);
            $groups = $parted;
            if ($settled) {
                break;
            }
        }
        $of = [];
        foreach ($groups as $group) {
            foreach ($group as $at) {
                $of[$at] = $group;
            }
        }
        $this->groups = $of;
    }

    /**
     * @param  float  $from  the least distance
     * @param  float  $below  what the distance must be less than
     * @return iterable<int, float> distances of the earlier signals that lie between, by their place, in order
     */
    public function earlier(int $at, float $from, float $below): iterable
    {
        foreach ($this->groups[$at] ?? [] as $other) {
            if ($other >= $at) {
                return;
            }
            $distance = TimingDistance::between($this->signals[$other], $this->signals[$at]);
            if ($distance >= $from && $distance < $below) {
                yield $other => $distance;
            }
        }
    }

    /**
     * @param  list<int>  $group  of signals with as many lengths
     * @return list<list<int>>
     */
    private function parted(array $group): array
    {
        if (count($group) < 2) {
            return [$group];
        }
        $keys = array_fill_keys($group, '');
        foreach (array_keys($this->signals[$group[0]]->lengthsNs) as $place) {
            $lengths = [];
            foreach ($group as $at) {
                $lengths[$at] = $this->signals[$at]->lengthsNs[$place];
            }
            asort($lengths);
            $side = 0;
            $before = null;
            foreach ($lengths as $at => $ns) {
                $side += $before !== null && TimingDistance::isGap($before, $ns) ? 1 : 0;
                $keys[$at] .= "{$side} ";
                $before = $ns;
            }
        }
        $parts = [];
        foreach ($keys as $at => $key) {
            $parts[$key][] = $at;
        }

        return array_values($parts);
    }
}
