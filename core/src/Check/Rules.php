<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Check\Rule\ActionUnfit;
use Rundfunk\Check\Rule\AdapterMissing;
use Rundfunk\Check\Rule\AllOffMisses;
use Rundfunk\Check\Rule\BusPinsMissing;
use Rundfunk\Check\Rule\ChannelMissing;
use Rundfunk\Check\Rule\ChannelShared;
use Rundfunk\Check\Rule\CodeMissing;
use Rundfunk\Check\Rule\CodeShared;
use Rundfunk\Check\Rule\ConsolePinTaken;
use Rundfunk\Check\Rule\ControlWithoutRoute;
use Rundfunk\Check\Rule\EndpointWithoutModule;
use Rundfunk\Check\Rule\NodeWithoutBoard;
use Rundfunk\Check\Rule\NoPinLeft;
use Rundfunk\Check\Rule\OffForGood;
use Rundfunk\Check\Rule\OutputUndriven;
use Rundfunk\Check\Rule\PinIncapable;
use Rundfunk\Check\Rule\PinsUnassigned;
use Rundfunk\Check\Rule\PinUsedTwice;
use Rundfunk\Check\Rule\PrecedenceIdle;
use Rundfunk\Check\Rule\RoutesFight;
use Rundfunk\Check\Rule\RouteWithoutPath;
use Rundfunk\Check\Rule\SelectPinAsInput;
use Rundfunk\Check\Rule\StrapPinPulled;
use Rundfunk\Check\Rule\TerminalWiredTwice;
use Rundfunk\Check\Rule\ValueImpossible;
use Rundfunk\Check\Rule\ValueMissing;
use Rundfunk\Check\Rule\ValueOutside;
use Rundfunk\Check\Rule\ValueSpanUnknown;
use Rundfunk\Check\Rule\WeakRail;
use Rundfunk\Medium\HasRules;
use Rundfunk\Medium\Media;

/** Every rule: those of no medium in particular here, then what each medium brings. */
final readonly class Rules
{
    /** @return list<Rule> */
    public static function all(Media $media): array
    {
        $rules = [
            new NodeWithoutBoard,
            new PinUsedTwice,
            new TerminalWiredTwice,
            new PinIncapable,
            new StrapPinPulled,
            new SelectPinAsInput,
            new ConsolePinTaken,
            new BusPinsMissing,
            new NoPinLeft,
            new PinsUnassigned,
            new WeakRail,
            new AdapterMissing,
            new ChannelMissing,
            new ChannelShared,
            new EndpointWithoutModule,
            new ControlWithoutRoute,
            new OutputUndriven,
            new RouteWithoutPath,
            new CodeMissing,
            new CodeShared,
            new ActionUnfit,
            new ValueImpossible,
            new ValueMissing,
            new ValueOutside,
            new ValueSpanUnknown,
            new RoutesFight,
            new PrecedenceIdle,
            new OffForGood,
            new AllOffMisses,
        ];
        foreach ($media->all() as $medium) {
            if ($medium instanceof HasRules) {
                $rules = [...$rules, ...$medium->rules()];
            }
        }

        return $rules;
    }
}
