<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a board's pins may carry, milliamperes. */
final readonly class PinCurrent
{
    public function __construct(public float $advisedMa, public float $absoluteMa, public ?float $chipTotalMa)
    {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->number('advisedMa'),
            $values->number('absoluteMa'),
            $values->has('chipTotalMa') ? $values->number('chipTotalMa') : null,
        );
    }
}
