<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\KeyedRadio\Rule\AntennaOff;
use Rundfunk\Medium\KeyedRadio\Rule\CodesCollide;
use Rundfunk\Medium\KeyedRadio\Rule\CodeUnknown;
use Rundfunk\Medium\KeyedRadio\Rule\EndsDisagree;
use Rundfunk\Medium\KeyedRadio\Rule\FactoryCode;
use Rundfunk\Medium\KeyedRadio\Rule\OutsideBand;
use Rundfunk\Medium\KeyedRadio\Rule\PowerOverLimit;
use Rundfunk\Medium\KeyedRadio\Rule\ReceiverCannot;
use Rundfunk\Medium\KeyedRadio\Rule\RepeatsFlip;
use Rundfunk\Medium\KeyedRadio\Rule\RepeatsTooFew;
use Rundfunk\Medium\KeyedRadio\Rule\ReplayOpens;
use Rundfunk\Medium\KeyedRadio\Rule\SenderUnnumbered;
use Rundfunk\Medium\KeyedRadio\Rule\TooManyButtons;

/** Its rules, in the order in which their findings are listed. */
final readonly class KeyedRules implements HasRules
{
    public function rules(): array
    {
        return [
            new OutsideBand,
            new PowerOverLimit,
            new ReplayOpens,
            new CodeUnknown,
            new CodesCollide,
            new FactoryCode,
            new SenderUnnumbered,
            new ReceiverCannot,
            new TooManyButtons,
            new RepeatsTooFew,
            new RepeatsFlip,
            new AntennaOff,
            new EndsDisagree,
        ];
    }
}
