<?php

declare(strict_types=1);

namespace Rundfunk\Electrical;

use Rundfunk\Calculator\Calculator;
use Rundfunk\Electrical\Calculator\BaseResistorOf;
use Rundfunk\Electrical\Calculator\BatteryLifeOf;
use Rundfunk\Electrical\Calculator\BaudMismatchOf;
use Rundfunk\Electrical\Calculator\BurstDroopOf;
use Rundfunk\Electrical\Calculator\CableDrop;
use Rundfunk\Electrical\Calculator\CapacitorForDroopOf;
use Rundfunk\Electrical\Calculator\ContactOf;
use Rundfunk\Electrical\Calculator\DividerOf;
use Rundfunk\Electrical\Calculator\FuseOf;
use Rundfunk\Electrical\Calculator\I2cPullUpOf;
use Rundfunk\Electrical\Calculator\LedStringOf;
use Rundfunk\Electrical\Calculator\RegulatorOf;
use Rundfunk\Electrical\Calculator\ResidualCurrentOf;
use Rundfunk\Electrical\Calculator\Rs485BiasOf;
use Rundfunk\Electrical\Calculator\SeriesValue;
use Rundfunk\Electrical\Calculator\SsrHeatOf;
use Rundfunk\Electrical\Calculator\ThermistorOf;
use Rundfunk\Electrical\Calculator\UartDividerOf;

/** The formulas that belong to no medium. */
final class ElectricalCalculators
{
    /** @return list<Calculator> */
    public static function all(): array
    {
        return [new DividerOf, new ThermistorOf, new SeriesValue, new BurstDroopOf, new CapacitorForDroopOf, new CableDrop, new RegulatorOf, new BatteryLifeOf, new BaseResistorOf, new I2cPullUpOf, new LedStringOf, new UartDividerOf, new BaudMismatchOf, new Rs485BiasOf, new FuseOf, new ContactOf, new SsrHeatOf, new ResidualCurrentOf];
    }
}
