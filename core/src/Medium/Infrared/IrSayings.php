<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\SaysCommands;

/** What goes over the link for a command. */
final readonly class IrSayings implements SaysCommands, TellsMessagesApart
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        $codes = LearnedCodes::all($plan, $hop);

        return match (count($codes)) {
            0 => null,
            1 => IrWords::ofCode($codes[0], $this->protocols),
            default => 'one of '.count($codes).' codes',
        };
    }

    /** The code, or where the control says which of several, the function they set. */
    public function mark(Plan $plan, Hop $hop): ?string
    {
        $codes = LearnedCodes::all($plan, $hop);

        return match (count($codes)) {
            0 => null,
            1 => $codes[0]->id,
            default => $plan->route($hop->routeId)->outputId,
        };
    }

    /** A code says which remote it is of, or it does not matter. */
    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return false;
    }
}
