<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Parts;

/** A coil or motor on direct current, and nothing takes what it gives back. */
#[Finds('flyback-missing', WorkStep::SafeStates)]
final readonly class FlybackMissing implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $class = AllLoads::in($look)->classOf($output);
        foreach ($class?->switches === null || $class->switches->diodes || $output->moduleId === null ? [] : AllLoads::in($look)->on($output) as $drawn) {
            if (! $drawn->direct || ! in_array($drawn->load->sort, [LoadKind::Motor, LoadKind::Inductive], true) || Parts::has($look, $output, PartKind::FlybackDiode)) {
                continue;
            }

            yield Finding::fault(
                "{$drawn->load->name} gives a blow back to {$output->name} each time it goes off",
                At::load($look, $drawn->load),
                'A coil that is cut off makes hundreds of volts of what it holds: the transistor breaks through, the contact burns, the board resets.',
                'A diode across it, right at the load, its ring towards plus.',
                new Fix('A diode across it', Parts::add($look, $output, PartKind::FlybackDiode)),
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
