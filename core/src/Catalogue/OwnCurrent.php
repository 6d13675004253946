<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** What a board takes for itself, milliamperes, asleep with its lamp and its regulator too, and the voltage below which it starts again. */
final readonly class OwnCurrent
{
    public function __construct(public float $typicalMa, public float $peakMa, public float $sleepMa, public float $brownOutV)
    {
    }

    public static function from(Values $values): self
    {
        return new self($values->number('typicalMa'), max($values->number('typicalMa'), $values->number('peakMa')), $values->number('sleepMa'), $values->number('brownOutV'));
    }
}
