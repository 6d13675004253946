<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

/**
 * Spreads weights over bins so that the fullest is as little full as can be: depth first with the heaviest weights first, the emptiest bin first, and
 * whatever cannot become better left out. It is proven unless it gave up after so many looks.
 */
final class Balance
{
    /** Bins that are looked at, all in all. */
    public const MOST_LOOKS = 60_000;

    private float $best = INF;

    /** @var list<int> bin of each weight */
    private array $found = [];

    private int $looks = 0;

    /** @var array<int, int> bins of the weights so far */
    private array $so = [];

    private float $least = 0.0;

    /**
     * @param  list<int>  $weights  the heaviest first
     * @param  list<int>  $sizes  of the bins, the larger the more a bin bears
     * @param  array<int, float>  $has  what is in each bin already
     * @param  array<int, int>  $rooms  how many more each takes
     * @param  list<int>  $before  the bin that each is in now, which wins where it is as good; −1 for none
     */
    private function __construct(private readonly array $weights, private readonly array $sizes, private array $has, private array $rooms, private readonly array $before, private readonly int $mostLooks)
    {
    }

    /**
     * @param  list<int>  $weights
     * @param  list<int>  $sizes  above nothing
     * @param  list<float>|null  $has
     * @param  list<int>|null  $rooms
     * @param  list<int>|null  $before
     * @param  int  $mostLooks  after which the best so far will do
     * @return array{bins: list<int>, share: float, proven: bool}|null the bin of each weight; null where they do not all find room
     */
    public static function of(array $weights, array $sizes, ?array $has = null, ?array $rooms = null, ?array $before = null, int $mostLooks = self::MOST_LOOKS): ?array
    {
        $order = array_keys($weights);
        usort($order, static fn (int $a, int $b): int => [$weights[$b], $a] <=> [$weights[$a], $b]);
        $before ??= array_fill(0, count($weights), -1);
        $search = new self(
            array_map(static fn (int $index): int => $weights[$index], $order),
            $sizes,
            $has ?? array_fill(0, count($sizes), 0.0),
            $rooms ?? array_fill(0, count($sizes), count($weights)),
            array_map(static fn (int $index): int => $before[$index], $order),
            $mostLooks,
        );
        $search->begin();
        if ($search->found === []) {
            return $weights === [] ? ['bins' => [], 'share' => $search->fullest(), 'proven' => true] : null;
        }
        $bins = array_fill(0, count($weights), 0);
        foreach ($order as $place => $index) {
            $bins[$index] = $search->found[$place];
        }

        return ['bins' => array_values($bins), 'share' => $search->best, 'proven' => $search->looks < $mostLooks];
    }

    private function begin(): void
    {
        $this->least = $this->atLeast();
        if ($this->weights !== []) {
            $this->place(0, $this->fullest());
        }
    }

    /** No way of spreading is better than what is in one bin already, nor than one that fills all alike, in steps of what all weights are multiples of. */
    private function atLeast(): float
    {
        $step = array_reduce($this->weights, self::commonDivisor(...), 0);
        $all = array_sum($this->weights);
        $least = max($this->fullest(), ($all + array_sum($this->has)) / array_sum($this->sizes));
        while ($step > 0) {
            $fits = 0;
            $next = INF;
            foreach ($this->sizes as $bin => $size) {
                $steps = (int) floor(($least * $size - $this->has[$bin]) / $step + 1e-9);
                $fits += $steps * $step;
                $next = min($next, ($this->has[$bin] + ($steps + 1) * $step) / $size);
            }
            if ($fits >= $all) {
                break;
            }
            $least = $next;
        }

        return $least;
    }

    private static function commonDivisor(int $one, int $other): int
    {
        return $other === 0 ? $one : self::commonDivisor($other, $one % $other);
    }

    private function fullest(): float
    {
        $shares = array_map(static fn (float $has, int $size): float => $has / $size, $this->has, $this->sizes);

        return $shares === [] ? 0.0 : max($shares);
    }

    private function place(int $at, float $fullest): void
    {
        $this->looks += count($this->sizes);
        // The first way there is is always gone to its end: it is a good one.
        if ($fullest >= $this->best - 1e-9 || ($this->found !== [] && $this->looks > $this->mostLooks)) {
            return;
        }
        if ($at === count($this->weights)) {
            $this->best = $fullest;
            $this->found = array_slice($this->so, 0, $at);

            return;
        }
        $tried = [];
        foreach ($this->binsFor($at) as $bin) {
            $alike = "{$this->has[$bin]} {$this->sizes[$bin]} {$this->rooms[$bin]}";
            if (isset($tried[$alike])) {
                continue;
            }
            $tried[$alike] = true;
            $this->has[$bin] += $this->weights[$at];
            $this->rooms[$bin]--;
            $this->so[$at] = $bin;
            $this->place($at + 1, max($fullest, $this->has[$bin] / $this->sizes[$bin]));
            $this->has[$bin] -= $this->weights[$at];
            $this->rooms[$bin]++;
            if ($this->best <= $this->least + 1e-9 || ($this->found !== [] && $this->looks > $this->mostLooks)) {
                return;
            }
        }
    }

    /** @return list<int> those with room: where it is now first, then the emptiest */
    private function binsFor(int $at): array
    {
        $bins = array_values(array_filter(array_keys($this->sizes), fn (int $bin): bool => $this->rooms[$bin] > 0));
        usort($bins, fn (int $a, int $b): int => [($this->has[$a] + $this->weights[$at]) / $this->sizes[$a], $a !== $this->before[$at], $a] <=> [($this->has[$b] + $this->weights[$at]) / $this->sizes[$b], $b !== $this->before[$at], $b]);

        return $bins;
    }
}
