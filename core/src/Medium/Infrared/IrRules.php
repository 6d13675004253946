<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Infrared\Rule\CarrierOff;
use Rundfunk\Medium\Infrared\Rule\CodeUnknown;
use Rundfunk\Medium\Infrared\Rule\EmittersTogether;
use Rundfunk\Medium\Infrared\Rule\EmitterSupplyDiffers;
use Rundfunk\Medium\Infrared\Rule\FunctionsAlike;
use Rundfunk\Medium\Infrared\Rule\HeardByTwo;
use Rundfunk\Medium\Infrared\Rule\HeldKeyFlips;
use Rundfunk\Medium\Infrared\Rule\IntervalTooShort;
use Rundfunk\Medium\Infrared\Rule\KeyHasTwoCodes;
use Rundfunk\Medium\Infrared\Rule\KeysAlike;
use Rundfunk\Medium\Infrared\Rule\KnownByNameOnly;
use Rundfunk\Medium\Infrared\Rule\LedOverPin;
use Rundfunk\Medium\Infrared\Rule\LedStarved;
use Rundfunk\Medium\Infrared\Rule\OutOfReach;
use Rundfunk\Medium\Infrared\Rule\RawOnly;
use Rundfunk\Medium\Infrared\Rule\RawTooAlike;
use Rundfunk\Medium\Infrared\Rule\SetIncomplete;

/** Its rules, in the order in which their findings are listed. */
final readonly class IrRules implements HasRules
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function rules(): array
    {
        return [
            new CodeUnknown($this->protocols),
            new KeysAlike($this->protocols),
            new KeyHasTwoCodes($this->protocols),
            new FunctionsAlike($this->protocols),
            new SetIncomplete($this->protocols),
            new HeardByTwo($this->protocols),
            new RawOnly($this->protocols),
            new RawTooAlike($this->protocols),
            new KnownByNameOnly($this->protocols),
            new CarrierOff($this->protocols),
            new HeldKeyFlips($this->protocols),
            new LedOverPin($this->protocols),
            new LedStarved($this->protocols),
            new EmitterSupplyDiffers($this->protocols),
            new OutOfReach($this->protocols),
            new IntervalTooShort($this->protocols),
            new EmittersTogether($this->protocols),
        ];
    }
}
