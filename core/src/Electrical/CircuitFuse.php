<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

/** Which fuse a load asks for, in the line and before the relay. Ratings: IEC 60127 (preferred), breakers IEC 60898. The margin is common practice; the local code decides. */
final readonly class CircuitFuse
{
    public const ABOVE_LOAD = 1.25;

    /** Of each decade. */
    public const PREFERRED = [1.0, 1.25, 1.6, 2.0, 2.5, 3.15, 4.0, 5.0, 6.3, 8.0];

    private const LARGEST_FUSE_A = 10.0;

    private const BREAKERS = [6.0, 10.0, 13.0, 16.0, 20.0];

    private function __construct(public ?float $ratedA)
    {
    }

    /** The smallest fuse that the load does not blow; a breaker where there is no such fuse. */
    public static function for(float $loadA): self
    {
        $least = self::ABOVE_LOAD * $loadA;
        foreach ([...array_map(static fn (float $one): float => round($one / 10, 4), self::PREFERRED), ...self::PREFERRED, self::LARGEST_FUSE_A, ...self::BREAKERS] as $rating) {
            if ($rating >= $least - 1e-9) {
                return new self($rating);
            }
        }

        return new self(null);
    }

    /** @return float|null the smallest breaker that the load does not trip, amperes; null where there is none for a home */
    public static function breakerA(float $loadA): ?float
    {
        foreach (self::BREAKERS as $rating) {
            if ($rating >= self::ABOVE_LOAD * $loadA - 1e-9) {
                return $rating;
            }
        }

        return null;
    }

    /** @param  float  $weakestA  what the weakest behind it bears: cable, device, contact */
    public function saves(float $weakestA): bool
    {
        return $this->ratedA !== null && $this->ratedA <= $weakestA + 1e-9;
    }
}
