<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** A bridge of bipolar transistors that keeps most of a low voltage for itself. */
#[Finds('switch-keeps-volts', WorkStep::SafeStates)]
final readonly class SwitchKeepsVolts implements OutputRule
{
    /** With two thirds of its volts a motor turns weakly, with half it may not begin. Common practice. */
    private const WEAK = 2 / 3;

    private const DEAD = 1 / 2;

    public function check(Output $output, Look $look): iterable
    {
        $all = AllLoads::in($look);
        $keepsV = $all->classOf($output)?->switches->dropV ?? 0.0;
        if ($keepsV <= 0.0 || $output->moduleId === null) {
            return;
        }
        $bridge = $look->plan->module($output->moduleId)->name;
        foreach ($all->on($output) as $drawn) {
            if ($drawn->volts === null || ! $drawn->direct || $drawn->volts - $keepsV >= self::WEAK * $drawn->volts - 1e-9) {
                continue;
            }
            $leftV = max(0.0, $drawn->volts - $keepsV);
            yield Finding::of(
                $leftV < self::DEAD * $drawn->volts - 1e-9 ? Severity::Fault : Severity::Warning,
                "{$drawn->load->name} gets ".Figures::significant($leftV).' of '.Figures::significant($drawn->volts).' V',
                At::load($look, $drawn->load),
                Figures::significant($keepsV)." V stay in {$bridge}, and more with more current: what it drives is weak, or does not begin to turn.",
                'One of MOSFETs, which keeps next to nothing; or more volts, where the load bears them.',
                numbers: ['left_v' => round($leftV, 3), 'keeps_v' => $keepsV],
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
