<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Protocol;

use Closure;
use Rundfunk\Signal\Signal;
use Rundfunk\Signal\Tolerance;

/**
 * Levels of equal length, run together into marks and spaces: the stuff of bi-phase codes. Reads a signal back into
 * levels; where a length could be two numbers of units, both are followed and the closer whole is taken.
 */
final readonly class HalfBits
{
    /** What a receiver may have added to marks, or taken from them. Common practice: 50 to 150 µs. */
    private const EXCESSES_NS = [0, 75_000, 150_000, 110_000, 40_000, -50_000, -100_000];

    /**
     * @param  list<int>  $runs  numbers of units that a mark or space may have
     * @param  list<int>  $rare  those of them that a frame has at most twice
     */
    public function __construct(private int $unitNs, private array $runs, private array $rare = [])
    {
    }

    /** @param  list<bool>  $levels true for mark; spaces at either end are left away */
    public function signal(array $levels, int $carrierHz): Signal
    {
        $lengths = [];
        $last = false;
        foreach ($levels as $level) {
            if ($level === $last && $lengths !== []) {
                $lengths[count($lengths) - 1] += $this->unitNs;
            } elseif ($level || $lengths !== []) {
                $lengths[] = $this->unitNs;
            }
            $last = $level;
        }
        if (! $last) {
            array_pop($lengths);
        }

        return new Signal($lengths, $carrierHz);
    }

    /**
     * @param  Closure(list<bool>): (array{int, int, bool}|null)  $read  what the levels say: address, command, toggle; null when nothing
     * @return array{int, int, bool}|null
     */
    public function decode(Signal $signal, Closure $read): ?array
    {
        // Whichever leaves the least to explain: the first that can be read may be far off.
        $best = null;
        $least = INF;
        foreach (self::EXCESSES_NS as $excessNs) {
            foreach ($this->readings($signal->withoutExcess($excessNs)->lengthsNs) as [$levels, $error]) {
                $said = $error < $least ? $read($levels) : null;
                if ($said !== null) {
                    $best = $said;
                    $least = $error;
                }
            }
        }

        return $best;
    }

    /**
     * @param  list<int>  $lengths
     * @return list<array{list<bool>, float, int}> levels, how far off the lengths are in squared units, and how many rare runs were had
     */
    private function readings(array $lengths): array
    {
        $open = [[[], 0.0, 0]];
        foreach ($lengths as $at => $ns) {
            $next = [];
            foreach ($this->runs as $run) {
                if (Tolerance::meets($ns, $run * $this->unitNs)) {
                    $rare = in_array($run, $this->rare, true);
                    foreach ($open as [$levels, $error, $spent]) {
                        if (! $rare || $spent < 2) {
                            $next[] = [[...$levels, ...array_fill(0, $run, $at % 2 === 0)], $error + ($ns / $this->unitNs - $run) ** 2, $spent + (int) $rare];
                        }
                    }
                }
            }
            $open = $next;
        }

        return $open;
    }
}
