<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\SaysCommands;

/** What goes over the link for a command. */
final readonly class IrSayings implements SaysCommands
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
}
