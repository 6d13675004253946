<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\FeedsAt;
use Rundfunk\Shape\Values;

/** A place at which a board can be fed, and with what. */
final readonly class BoardInput
{
    /** @param  float  $chargeMa  what the board puts into a cell there at most, from whatever else feeds it */
    public function __construct(public FeedsAt $at, public string $name, public float $minV, public float $maxV, public float $chargeMa = 0.0)
    {
    }

    public static function from(Values $values): self
    {
        return new self($values->choice('at', FeedsAt::class), $values->text('name'), $values->number('minV'), $values->number('maxV'), $values->numberOrNull('chargeMa') ?? 0.0);
    }
}
