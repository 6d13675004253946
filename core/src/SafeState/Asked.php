<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Output;

/** Whether an output must say what its load is to be when the network does not work: what can hurt must. */
final readonly class Asked
{
    /** From there on something that heats can set fire to something. Common practice. */
    private const HEAT_W = 50.0;

    /** @return string|null why; null where nobody asks */
    public static function of(Look $look, Output $output): ?string
    {
        if ($output->hazards !== []) {
            return ucfirst(Hazard::from($output->hazards[0])->words()).'.';
        }
        foreach ($look->plan->loadsOn($output) as $load) {
            $why = $load->use->draws() ? self::why($look, $load) : null;
            if ($why !== null) {
                return $why;
            }
        }

        return null;
    }

    private static function why(Look $look, Load $load): ?string
    {
        return match (true) {
            $load->circuitId !== null && $look->plan->circuit($load->circuitId)->isDangerous() => "{$load->name} is on the mains.",
            $load->sort === LoadKind::Resistive && ($load->allWatts() ?? 0.0) >= self::HEAT_W => "{$load->name} heats.",
            $load->sort === LoadKind::Motor => "{$load->name} moves.",
            default => null,
        };
    }
}
