<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\SaysCommands;

/** What goes over the link for a command. */
final readonly class KeyedSayings implements HandsOutCodes, SaysCommands, TellsMessagesApart
{
    public function codes(Plan $plan, Hop $hop): ?CodeRange
    {
        return KeyedCodes::isOurs($plan, $hop) ? new CodeRange(1, 15, $hop->fromId) : null;
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        $bits = KeyedCodes::of($plan, $hop);
        $code = LearnedCodes::of($plan, $hop);
        $coding = KeyedSettings::of($plan->link($hop->linkId))->coding;

        return match (true) {
            KeyedCodes::isOurs($plan, $hop) => $bits?->text(),
            $code === null => null,
            default => KeyedCodes::words($code, $coding),
        };
    }

    public function mark(Plan $plan, Hop $hop): ?string
    {
        return $this->saying($plan, $hop);
    }

    /** The upper bits are who signs; a fob is known by its code. */
    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }
}
