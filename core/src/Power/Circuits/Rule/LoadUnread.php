<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Circuits\At;

/** A load whose plate nobody has read. */
#[Finds('load-unread', WorkStep::SafeStates)]
final readonly class LoadUnread implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->loads() as $load) {
            if ($load->use->draws() && $load->watts === null) {
                yield Finding::warning(
                    "Nobody has read the plate of {$load->name}",
                    At::load($look, $load, 'watts'),
                    'Without its watts neither contact nor fuse nor circuit can be judged.',
                    'Write down what its plate says.',
                );
            }
        }
    }
}
