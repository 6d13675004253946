<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\OutOfRange;
use Rundfunk\Plan\LoadKind;

/** What a contact bears: of alternating current as the kind of load has it, of direct current much less, for no zero puts the arc out. */
final readonly class ContactRating
{
    /** Up to there direct current is as good as alternating. Common practice: 10 A at 250 V AC are 10 A at 30 V DC. */
    private const DC_WHOLE_V = 30.0;

    /** From there on a contact of that size bears less than an ampere. Common practice. */
    private const DC_LITTLE_V = 48.0;

    private const DC_LITTLE_SHARE = 0.1;

    /**
     * @param  float  $ratingA  as printed, alternating current, resistive
     * @param  float|null  $dcV  of direct current; null for alternating
     *
     * @throws OutOfRange
     */
    public function __construct(public float $ratingA, public LoadKind $kind, public ?float $dcV = null)
    {
        OutOfRange::unless('rating_a', $ratingA, 0.01, 100);
        if ($dcV !== null) {
            OutOfRange::unless('dc_v', $dcV, 0.1, 400);
        }
    }

    /** @return float amperes of such a load at most */
    public function mostA(): float
    {
        return $this->ratingA * $this->kind->share() * $this->dcShare();
    }

    private function dcShare(): float
    {
        return match (true) {
            $this->dcV === null, $this->dcV <= self::DC_WHOLE_V => 1.0,
            $this->dcV >= self::DC_LITTLE_V => self::DC_LITTLE_SHARE,
            default => 1.0 - (1.0 - self::DC_LITTLE_SHARE) * ($this->dcV - self::DC_WHOLE_V) / (self::DC_LITTLE_V - self::DC_WHOLE_V),
        };
    }

    public function bears(float $loadA): bool
    {
        return $loadA <= $this->mostA() + 1e-9;
    }
}
