<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a board's pins take for high and low, stand and give, volts. Its data sheet's worst case at its own supply. */
final readonly class BoardLevels
{
    /**
     * @param  float  $highInV  from here on an input reads high
     * @param  float  $lowInV  up to here it reads low
     * @param  float  $mostInV  the most that an input stands
     * @param  float  $highOutV  a high into an input that draws nothing
     * @param  float  $ratedHighV  a high at the current that a pin is rated for
     */
    public function __construct(
        public float $highInV,
        public float $lowInV,
        public float $mostInV,
        public float $highOutV,
        public float $lowOutV,
        public float $ratedHighV,
        public float $ratedLowV,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(...array_map($values->number(...), ['highInV', 'lowInV', 'mostInV', 'highOutV', 'lowOutV', 'ratedHighV', 'ratedLowV']));
    }
}
