<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;

/** What leaks through a residual-current device day by day: at half of its 30 mA it may trip, and does on a damp morning. Source: IEC 61008 (it must not below half, it must at the whole). */
final readonly class ResidualCurrent
{
    public const RATED_MA = 30.0;

    public const MOST_MA = self::RATED_MA / 2;

    /**
     * @param  list<float>  $leakagesMa
     *
     * @throws OutOfRange
     */
    public function __construct(private array $leakagesMa)
    {
        foreach ($leakagesMa as $one) {
            OutOfRange::unless('leakage_ma', $one, 0, 1_000);
        }
    }

    public function sumMa(): float
    {
        return array_sum($this->leakagesMa);
    }

    public function holds(): bool
    {
        return $this->sumMa() <= self::MOST_MA + 1e-9;
    }
}
