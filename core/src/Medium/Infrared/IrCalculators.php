<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\Infrared\Calculator\IrDecode;
use Rundfunk\Medium\Infrared\Calculator\IrEncode;
use Rundfunk\Medium\Infrared\Calculator\IrRangeDistance;
use Rundfunk\Medium\Infrared\Calculator\LedResistorValue;

/** Its formulas, each to be used alone. */
final readonly class IrCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new IrEncode, new IrDecode, new IrRangeDistance, new LedResistorValue];
    }
}
