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

/** A transistor for direct current, and a load on alternating current. */
#[Finds('transistor-on-mains', WorkStep::SafeStates)]
final readonly class TransistorOnMains implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (AllLoads::in($look)->classOf($output)?->switches?->by !== SwitchedBy::Transistor) {
            return;
        }
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if (! $drawn->direct && $drawn->circuit !== null) {
                yield Finding::danger(
                    "{$output->name} cannot switch {$drawn->load->name}: a transistor conducts half of alternating current by itself",
                    At::load($look, $drawn->load),
                    'It is made for direct current up to some thirty volts; at the mains it breaks through, and the board is live.',
                    'A relay or a solid-state relay for alternating current.',
                    about: [$output->id, $drawn->load->id],
                );
            }
        }
    }
}
