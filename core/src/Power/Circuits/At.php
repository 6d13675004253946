<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** Where findings about loads and circuits are. */
final readonly class At
{
    public static function load(Look $look, Load $load, ?string $field = null): Spot
    {
        $output = $load->outputId === null ? null : $look->plan->output($load->outputId);

        return Spot::of($load, $output === null ? $load->name : "{$look->plan->node($output->nodeId)->name}, {$output->name}: {$load->name}", $field);
    }

    public static function circuit(Circuit $circuit, ?string $field = null): Spot
    {
        return Spot::of($circuit, "circuit {$circuit->name}", $field);
    }

    public static function output(Look $look, Output $output, ?string $field = null): Spot
    {
        return Spot::of($output, "{$look->plan->node($output->nodeId)->name}, {$output->name}", $field);
    }
}
