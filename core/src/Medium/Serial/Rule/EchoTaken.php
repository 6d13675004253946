<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Description;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** What was sent comes back by itself, and looks like the answer. */
#[Finds('serial-echo-taken', WorkStep::Links)]
final readonly class EchoTaken implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $settings = SerialSettings::of($leg->link);
        $protocol = $leg->receiver->speaks() === null ? null : $look->plan->protocol($leg->receiver->speaks());
        $item = $protocol === null || $leg->output->nodeId !== $leg->receiver->id ? null : Meant::itemOf($leg->output, $protocol);
        if ($protocol === null || $item === null || ($settings->levels !== Levels::Rs485 && $settings->topology !== Topology::Ring) || ! Description::answersAsSent($protocol, $item)) {
            return [];
        }

        return [Finding::warning(
            "The answer to {$item->name} of {$leg->receiver->name} looks like what was sent",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route)),
            $settings->topology === Topology::Ring ? 'In a ring a command that nobody takes comes around, and passes for the answer.' : 'On one pair a board hears what it says itself while its receiver is on: a device that is off seems to answer.',
            $settings->topology === Topology::Ring ? 'Ask it for a reading: that comes from the device alone.' : 'Switch the receiver off while it sends (RE with DE), and drop what comes meanwhile: the header says so. Then this may be accepted.',
            numbers: ['function' => $item->name],
            about: [$leg->receiver->id, $leg->output->id],
        )];
    }
}
