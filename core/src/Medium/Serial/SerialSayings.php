<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\SaysWhoIsGone;
use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Medium\Serial\Bought\BoughtSayings;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\SaysCommands;

/** What goes over the line for a command. */
final readonly class SerialSayings implements CarriesLetGo, HandsOutCodes, SaysCommands, SaysWhoIsGone, TellsMessagesApart
{
    /** 0 says nothing and 255 begins anew, see {@see SerialFrame}. */
    public function codes(Plan $plan, Hop $hop): ?CodeRange
    {
        return BoughtSayings::isOn($plan, $hop) ? null : new CodeRange(0x01, 0xFE, $hop->toId);
    }

    public function mark(Plan $plan, Hop $hop): ?string
    {
        return match (true) {
            BoughtSayings::isOn($plan, $hop) => BoughtSayings::mark($plan, $hop),
            $hop->code === null => null,
            default => (string) $hop->code,
        };
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        return BoughtSayings::isOn($plan, $hop) ? BoughtSayings::words($plan, $hop) : null;
    }

    /** Whoever tells or asks and is not answered; and a box that nobody asks. */
    public function noticesGone(Plan $plan, Endpoint $endpoint): bool
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));

        return $line->isComplete() && (! $line->isBought() || $line->asker()?->id === $endpoint->id);
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }
}
