<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\ModuleRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;
use Rundfunk\Power\Circuits\AllLoads;

/** Mains and low voltage on the contacts of one relay board. */
#[Finds('voltages-mixed', WorkStep::SafeStates)]
final readonly class VoltagesMixed implements ModuleRule
{
    public function check(Module $module, Look $look): iterable
    {
        $dangerous = $low = [];
        foreach ($look->plan->having(Output::class, 'moduleId', $module->id) as $output) {
            foreach (AllLoads::in($look)->on($output) as $drawn) {
                if ($drawn->isDangerous()) {
                    $dangerous[] = $output->name;
                } elseif ($drawn->volts !== null) {
                    $low[] = $output->name;
                }
            }
        }
        if ($dangerous === [] || $low === []) {
            return [];
        }

        return [Finding::warning(
            "{$module->name} has the mains on {$dangerous[0]} and low voltage on {$low[0]}",
            Spot::of($module, "{$look->plan->node($module->nodeId)->name}, {$module->name}"),
            'Its terminals are a few millimetres apart: between the mains and what people touch it must be 6 at the least (common practice; local code decides), and one loose strand makes the garden live.',
            'A board of its own for the mains, in a compartment of its own.',
            about: [$module->id],
        )];
    }
}
