<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

final readonly class Band
{
    public function __construct(
        public string $service,
        public float $fromMhz,
        public float $toMhz,
        public float $maxEirpDbm,
        public string $rule,
    ) {
    }

    public function holds(float $freqMhz): bool
    {
        return $freqMhz >= $this->fromMhz && $freqMhz <= $this->toMhz;
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('service'),
            $values->number('fromMhz'),
            $values->number('toMhz'),
            $values->number('maxEirpDbm'),
            $values->text('rule'),
        );
    }
}
