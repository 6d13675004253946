<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

/** A scale and an offset in whole numbers: a raw figure times this, divided by that, plus so many thousandths. As the header counts, to the last thousandth. */
final readonly class Scaling
{
    /** A product with 32 bits stays within 63. */
    private const TIMES_MOST = 2_000_000_000;

    private function __construct(public int $times, public int $divided, public int $plus)
    {
    }

    public static function of(float $scale, float $offset): self
    {
        $times = $scale * 1_000;
        $divided = 1;
        // As many decimals as it has, or as whole numbers hold.
        while ($divided < 1_000_000_000 && abs($times - round($times)) > 1e-9 * max(1.0, abs($times)) && abs($times) * 10 < self::TIMES_MOST) {
            $times *= 10;
            $divided *= 10;
        }

        return new self((int) max(-self::TIMES_MOST, min(self::TIMES_MOST, round($times))), $divided, (int) max(-2_000_000_000, min(2_000_000_000, round($offset * 1_000))));
    }

    /** @return int within 31 bits and a sign */
    public function thousandths(int $raw): int
    {
        return max(-2_147_483_646, min(2_147_483_647, intdiv($raw * $this->times, $this->divided) + $this->plus));
    }

    /** @return int the raw figure that comes nearest to a whole number of the unit */
    public function raw(int $figure): int
    {
        return $this->times === 0 ? 0 : (int) round(($figure * 1_000 - $this->plus) * $this->divided / $this->times);
    }
}
