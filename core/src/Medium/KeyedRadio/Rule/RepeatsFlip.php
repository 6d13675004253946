<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Behaviour\Rule\NoOff;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A toggle on a code that comes several times for one press. */
#[Finds('keyed-repeats-flip', WorkStep::Routes)]
final readonly class RepeatsFlip implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $settings = KeyedSettings::of($leg->link);
        $decoded = ! $leg->receiver->kind->isBought();
        if ($settings->coding === KeyedCoding::Pair || ! $decoded || $leg->route->action->survivesRepetition()) {
            return [];
        }
        $step = $leg->route->action === Action::Step;
        $quietMs = (int) ceil(2 * $settings->frameNs() / 1e6);

        return [Finding::warning(
            $step ? "One press may step {$leg->output->name} several times" : "One press may flip {$leg->output->name} several times",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            "The code comes {$settings->repeats} times a press, as long as the key is held, with nothing to tell the presses apart; and a frame lost in the middle looks like a pause.",
            ($step ? 'Act' : 'Use on and off on two keys, or act')." once and then wait for {$quietMs} ms of silence.",
            $step || NoOff::wouldStay($leg->output, $look->plan, $leg->route) ? null : Fix::change('Make it on', $leg->route, ['action' => Action::On->value]),
            numbers: ['repeats' => $settings->repeats, 'quiet_ms' => $quietMs],
            about: [$leg->route->id],
        )];
    }
}
