<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** A solid-state relay for alternating current, and a load on direct current. */
#[Finds('triac-on-direct-current', WorkStep::SafeStates)]
final readonly class TriacOnDirectCurrent implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (AllLoads::in($look)->classOf($output)?->switches?->by !== SwitchedBy::Triac) {
            return;
        }
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if ($drawn->direct) {
                yield Finding::danger(
                    "{$output->name} never goes off again: {$drawn->load->name} is on direct current",
                    At::load($look, $drawn->load),
                    'A solid-state relay of this class goes out when the current passes through nothing, and direct current never does.',
                    'A transistor for direct current, or a relay.',
                    about: [$output->id, $drawn->load->id],
                );
            }
        }
    }
}
