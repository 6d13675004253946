<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Drawn;

/** A load too small for a solid-state relay: it flickers, or glows while it is off. */
#[Finds('triac-holds-not', WorkStep::SafeStates)]
final readonly class TriacHoldsNot implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        $loads = AllLoads::in($look)->on($output);
        $milliamperes = 1000 * array_sum(array_map(static fn (Drawn $drawn): float => $drawn->amperes ?? 0.0, $loads));
        if ($switching?->by !== SwitchedBy::Triac || $milliamperes <= 0.0) {
            return [];
        }
        $glows = array_filter($loads, static fn (Drawn $drawn): bool => $drawn->load->sort === LoadKind::Capacitive) !== [] && $milliamperes < 20 * $switching->leakageMa;
        if ($milliamperes >= $switching->holdMa && ! $glows) {
            return [];
        }

        return [Finding::warning(
            $milliamperes < $switching->holdMa ? "{$output->name} flickers: its load is too small for a solid-state relay" : "What hangs on {$output->name} glows while it is off",
            At::output($look, $output),
            Figures::significant($milliamperes).' mA are drawn; it holds from '.Figures::significant($switching->holdMa).' mA on, and lets '.Figures::significant($switching->leakageMa).' mA through while it is off, which lights LED lamps.',
            'A relay; or a resistor beside the load that takes the rest.',
            numbers: ['load_ma' => round($milliamperes, 1), 'hold_ma' => $switching->holdMa, 'leakage_ma' => $switching->leakageMa],
        )];
    }
}
