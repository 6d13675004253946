<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Assign\Proposes;

/** What Assign asks it for. */
final readonly class IrSteps implements Proposes
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function steps(): array
    {
        return [new EmitterSupplyStep, new IntervalStep($this->protocols)];
    }
}
