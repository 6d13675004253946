<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Medium\Cellular\Calculator\Gsm7Pack;
use Rundfunk\Medium\Cellular\Calculator\ModemLampMeaning;
use Rundfunk\Medium\Cellular\Calculator\ModemRegistration;
use Rundfunk\Medium\Cellular\Calculator\ModemSignalStrength;
use Rundfunk\Medium\Cellular\Calculator\PhoneForm;
use Rundfunk\Medium\Cellular\Calculator\SmsLength;

/** Its formulas, each to be used alone. */
final readonly class CellularCalculators implements OffersCalculators
{
    public function calculators(): array
    {
        return [new SmsLength, new Gsm7Pack, new PhoneForm, new ModemSignalStrength, new ModemRegistration, new ModemLampMeaning];
    }
}
