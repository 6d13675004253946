<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** A supply pin of a board, what may be drawn from it, and the class of supply that it is. */
final readonly class Rail
{
    public function __construct(public string $name, public float $volts, public float $limitMa, public string $supply)
    {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->number('volts'),
            $values->number('limitMa'),
            $values->text('supply'),
        );
    }
}
