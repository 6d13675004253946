<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Find;

use Rundfunk\Medium\Can\Recording;

/** One identifier of a recording: how often it came, and what each of its bits did. Bits count as in {@see \Rundfunk\Medium\Can\CanSignal}. */
final readonly class Heard
{
    public const BITS = 64;

    /**
     * @param  int  $bytes  of the longest of its frames
     * @param  list<int>  $timesUs
     * @param  array<int, int>  $changes  how often each bit turned; none of those that never did
     * @param  array<int, int>  $ones  in how many frames each bit was 1; none of those that never were
     * @param  array<int, list<int>>  $turnsUs  when each bit turned
     * @param  int  $last  the bits of its last frame
     * @param  list<int>  $checks  bytes that check the others
     */
    private function __construct(public int $id, public int $bytes, public array $timesUs, public array $changes, public array $ones, public array $turnsUs, public int $last, public array $checks)
    {
    }

    /** @param  non-empty-list<int>  $frames  which of the recording's are its */
    public static function in(Recording $recording, int $id, array $frames): self
    {
        $bytes = 0;
        $times = $changes = $ones = $turns = $words = $since = [];
        $before = null;
        foreach ($frames as $index => $frame) {
            $data = $recording->data[$frame];
            $bytes = max($bytes, strlen($data));
            $word = self::word($data);
            $words[] = $word;
            $times[] = $recording->atUs[$frame];
            if ($before === null) {
                for ($bit = 0; $bit < self::BITS; $bit++) {
                    if ((($word >> $bit) & 1) === 1) {
                        $since[$bit] = 0;
                    }
                }
            } else {
                foreach (self::bitsOf($word ^ $before) as $bit) {
                    $changes[$bit] = ($changes[$bit] ?? 0) + 1;
                    $turns[$bit][] = $recording->atUs[$frame];
                    if ((($word >> $bit) & 1) === 1) {
                        $since[$bit] = $index;
                    } else {
                        $ones[$bit] = ($ones[$bit] ?? 0) + $index - $since[$bit];
                        unset($since[$bit]);
                    }
                }
            }
            $before = $word;
        }
        foreach ($since as $bit => $index) {
            $ones[$bit] = ($ones[$bit] ?? 0) + count($frames) - $index;
        }

        return new self($id, $bytes, $times, $changes, $ones, $turns, $before, CheckBytes::of($words, $bytes));
    }

    /** @return array<int, self> by identifier */
    public static function each(Recording $recording): array
    {
        $heard = [];
        foreach ($recording->byId() as $id => $frames) {
            if ($frames !== []) {
                $heard[$id] = self::in($recording, $id, $frames);
            }
        }

        return $heard;
    }

    /** @return int its bytes as one number, the first the lowest */
    private static function word(string $data): int
    {
        /** @var array{1: int} $word */
        $word = unpack('P', str_pad($data, 8, "\0"));

        return $word[1];
    }

    /** @return list<int> */
    private static function bitsOf(int $word): array
    {
        $bits = [];
        for ($byte = 0; $word !== 0 && $byte < 8; $byte++) {
            $part = ($word >> (8 * $byte)) & 0xFF;
            for ($bit = 8 * $byte; $part !== 0; $bit++, $part >>= 1) {
                if (($part & 1) === 1) {
                    $bits[] = $bit;
                }
            }
        }

        return $bits;
    }

    public function frames(): int
    {
        return count($this->timesUs);
    }

    /** @return float how much of the time a bit was 1 */
    public function share(int $bit): float
    {
        return ($this->ones[$bit] ?? 0) / $this->frames();
    }

    /** @return float how often a bit turned, from one frame to the next */
    public function restless(int $bit): float
    {
        return ($this->changes[$bit] ?? 0) / max(1, $this->frames() - 1);
    }

    /** @return int|null microseconds from one frame to the next, as a rule; null of a single one */
    public function periodUs(): ?int
    {
        $gaps = $this->gaps();
        sort($gaps);

        return $gaps === [] ? null : $gaps[intdiv(count($gaps), 2)];
    }

    /** @return int microseconds between the shortest and the longest of nine gaps in ten */
    public function jitterUs(): int
    {
        $gaps = $this->gaps();
        sort($gaps);
        $edge = intdiv(count($gaps), 20);

        return $gaps === [] ? 0 : $gaps[count($gaps) - 1 - $edge] - $gaps[$edge];
    }

    public function isCheck(int $bit): bool
    {
        return in_array(intdiv($bit, 8), $this->checks, true);
    }

    /** @return list<int> */
    private function gaps(): array
    {
        $gaps = [];
        foreach ($this->timesUs as $index => $us) {
            if ($index > 0) {
                $gaps[] = $us - $this->timesUs[$index - 1];
            }
        }

        return $gaps;
    }
}
