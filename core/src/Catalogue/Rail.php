<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Shape\Values;

/** A supply pin of a board, and what may be drawn from it. */
final readonly class Rail
{
    public function __construct(public string $name, public float $volts, public float $limitMa, public SupplyFrom $supply)
    {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->number('volts'),
            $values->number('limitMa'),
            $values->choice('supply', SupplyFrom::class),
        );
    }
}
