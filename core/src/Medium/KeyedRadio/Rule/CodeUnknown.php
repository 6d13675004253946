<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

#[Finds('keyed-code-unknown', WorkStep::Routes)]
final readonly class CodeUnknown implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $settings = KeyedSettings::of($leg->link);
        $code = LearnedCodes::of($look->plan, $leg->hop);
        $known = $code !== null && ($settings->coding === KeyedCoding::Pair ? KeyedCodes::button($code) !== null : KeyedCodes::bits($code) !== null);
        if ($known || KeyedCodes::isOurs($look->plan, $leg->hop)) {
            return [];
        }
        $pair = $settings->coding === KeyedCoding::Pair;

        return [Finding::fault(
            $pair ? "{$leg->control->name} is no button of its fob yet" : "The code of {$leg->control->name} for {$leg->output->name} is not known",
            Spot::of($leg->hop, RouteNames::of($look->plan, $leg->route)." over {$leg->link->name}", 'code'),
            $pair ? 'Each button of the fob works one pin of the receiver: which, decides the wiring.' : 'The receiver cannot wait for what nobody has told it, nor a transmitter send it.',
            $pair ? 'Assign gives it the first free button.' : 'Capture it: press the key for a second close to a receiver, and learn it on the fob\'s or socket\'s own page.',
        )];
    }
}
