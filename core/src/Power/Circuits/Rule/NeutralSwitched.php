<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** The contact breaks the neutral: what is off is live. */
#[Finds('neutral-switched', WorkStep::SafeStates)]
final readonly class NeutralSwitched implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if ($drawn->load->breaksNeutral && $drawn->isDangerous()) {
                yield Finding::danger(
                    "{$output->name} breaks the neutral of {$drawn->load->name}",
                    At::load($look, $drawn->load, 'breaksNeutral'),
                    'Off, it does nothing and is live all the same.',
                    'The relay switches the line; a licensed electrician knows which wire that is.',
                    Fix::change('Let it break the line', $drawn->load, ['breaksNeutral' => false]),
                    about: [$output->id, $drawn->load->id],
                );
            }
        }
    }
}
