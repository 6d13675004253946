<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\OutOfRange;

/**
 * How a controller divides a bit into quanta of its clock: one to synchronise, then the propagation segment and the two phase segments,
 * between which the bit is sampled. Source: ISO 11898-1; sample points as CiA 301 recommends them.
 */
final readonly class BitTiming
{
    /** A controller that is off by more loses step with the others. Source: the open calculator in can-utils refuses more. */
    private const MOST_ERROR = 0.05;

    /** The limits of the controllers that hobbyists find: two phase segments of sixteen and eight quanta. */
    private const SEGMENT1_MOST = 16;

    private const SEGMENT2_MOST = 8;

    private const PRESCALER_MOST = 64;

    private function __construct(public int $prescaler, public int $propSeg, public int $phaseSeg1, public int $phaseSeg2, public int $sjw, private int $clockHz)
    {
    }

    /** @return int tenths of a percent */
    public static function usualSamplePoint(int $bitrate): int
    {
        return match (true) {
            $bitrate > 800_000 => 750,
            $bitrate > 500_000 => 800,
            default => 875,
        };
    }

    /**
     * The division that comes nearest to the rate, and of such is sampled no later than asked, as near as can be.
     *
     * @param  int  $clockHz  of the time quantum before its prescaler: often half of the crystal
     * @param  int|null  $samplePoint  tenths of a percent; null as CiA 301 recommends
     * @return self|null null where no division comes within 5 %
     *
     * @throws OutOfRange
     */
    public static function for(int $clockHz, int $bitrate, ?int $samplePoint = null): ?self
    {
        OutOfRange::unless('clock_hz', $clockHz, 100_000, 1_000_000_000);
        OutOfRange::unless('bitrate', $bitrate, 1_000, 1_000_000);
        $samplePoint ??= self::usualSamplePoint($bitrate);
        OutOfRange::unless('sample_point_percent', $samplePoint / 10, 50, 95);
        $best = null;
        $least = [PHP_INT_MAX, PHP_INT_MAX];
        for ($quanta = 1 + self::SEGMENT1_MOST + self::SEGMENT2_MOST; $quanta >= 3; $quanta--) {
            $nearest = intdiv($clockHz, $quanta * $bitrate);
            [$phaseSeg2, $off] = self::sampled($quanta, $samplePoint);
            // The coarser first, as the open calculator tries them; of equals the coarser stays.
            foreach ([$nearest + 1, $nearest] as $prescaler) {
                $error = $prescaler < 1 || $prescaler > self::PRESCALER_MOST ? null : abs($bitrate - intdiv($clockHz, $prescaler * $quanta));
                if ($error !== null && [$error, $off] <= $least) {
                    $least = [$error, $off];
                    $segment1 = $quanta - 1 - $phaseSeg2;
                    $best = new self($prescaler, intdiv($segment1, 2), $segment1 - intdiv($segment1, 2), $phaseSeg2, 1, $clockHz);
                }
            }
            if ($least === [0, 0]) {
                break;
            }
        }

        return $least[0] > self::MOST_ERROR * $bitrate ? null : $best;
    }

    /** @return array{int, int} the second phase segment with which it is sampled no later than asked, as near as can be; tenths of a percent that it is off */
    private static function sampled(int $quanta, int $samplePoint): array
    {
        $best = [0, PHP_INT_MAX];
        $nearest = $quanta - intdiv($samplePoint * $quanta, 1_000);
        foreach ([$nearest, $nearest - 1] as $wanted) {
            $phaseSeg2 = max(1, min(self::SEGMENT2_MOST, $wanted), $quanta - 1 - self::SEGMENT1_MOST);
            $sampled = intdiv(1_000 * ($quanta - $phaseSeg2), $quanta);
            if ($best[0] === 0 || ($sampled <= $samplePoint && $samplePoint - $sampled < $best[1])) {
                $best = [$phaseSeg2, $sampled <= $samplePoint ? $samplePoint - $sampled : PHP_INT_MAX];
            }
        }

        return $best;
    }

    public function quanta(): int
    {
        return 1 + $this->propSeg + $this->phaseSeg1 + $this->phaseSeg2;
    }

    public function samplePointPercent(): float
    {
        return round(100 * ($this->quanta() - $this->phaseSeg2) / $this->quanta(), 1);
    }

    public function bitrate(): float
    {
        return $this->clockHz / ($this->prescaler * $this->quanta());
    }
}
