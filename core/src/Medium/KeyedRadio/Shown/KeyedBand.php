<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Shown;

/** A stretch of spectrum that a region allows. */
final readonly class KeyedBand
{
    public function __construct(
        public float $fromMhz,
        public float $toMhz,
        public float $maxEirpDbm,
        public string $rule,
        /** @var bool whether the link is in it */
        public bool $here,
    ) {
    }
}
