<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** A level on its way to another, in 65536ths: what is not yet sent of it is worked out packet by packet. The same in C stands in {@see CSender}. */
final readonly class Fade
{
    public const FULL = 65_535;

    public const LONGEST_MS = 600_000;

    /** Of 255: a level of eight bits is its own high byte, and twice itself. */
    public const BYTE = 257;

    public function __construct(public int $from, public int $to, public int $ms)
    {
    }

    /** @param  int  $elapsedMs  since it began */
    public function at(int $elapsedMs): int
    {
        if ($elapsedMs >= $this->ms) {
            return $this->to;
        }
        [$elapsed, $whole] = [$elapsedMs, $this->ms];
        // So that the product of the two and a level fits in 32 bits.
        while ($whole > self::FULL) {
            $whole >>= 1;
            $elapsed >>= 1;
        }
        $part = intdiv(abs($this->to - $this->from) * $elapsed, $whole);

        return $this->to < $this->from ? $this->from - $part : $this->from + $part;
    }

    /**
     * What a slot of eight bits says, packet by packet, from the first that is not as it was.
     *
     * @return list<int> 0 to 255, the last of them where it goes
     */
    public function steps(int $periodUs): array
    {
        $packets = self::packets($this->ms, $periodUs);

        return array_map(fn (int $packet): int => (new self($this->from, $this->to, $packets))->at($packet) >> 8, range(1, $packets));
    }

    /** @return int how many packets go out in that time; at least the one that says it */
    public static function packets(int $ms, int $periodUs): int
    {
        return max(1, intdiv(1_000 * $ms, $periodUs));
    }
}
