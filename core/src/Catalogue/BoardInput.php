<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\FeedsAt;
use Rundfunk\Shape\Values;

/** A place at which a board can be fed, and with what. */
final readonly class BoardInput
{
    public function __construct(public FeedsAt $at, public string $name, public float $minV, public float $maxV)
    {
    }

    public static function from(Values $values): self
    {
        return new self($values->choice('at', FeedsAt::class), $values->text('name'), $values->number('minV'), $values->number('maxV'));
    }
}
