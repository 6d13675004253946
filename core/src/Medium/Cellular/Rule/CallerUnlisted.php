<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\CellularEnd;

/** Somebody is to call or text, and the modem does not obey them. */
#[Finds('cell-caller-unlisted', WorkStep::Routes)]
final readonly class CallerUnlisted implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->node->kind->isBought() || CellularEnd::of($end->endpoint)->obeysAnyone) {
            return;
        }
        $seen = [];
        foreach ($look->plan->hopsTo($end->endpoint) as $hop) {
            $caller = $look->end($look->plan->endpoint($hop->fromId));
            if (CellularEnd::of($caller->endpoint)->listed || isset($seen[$caller->endpoint->id])) {
                continue;
            }
            $seen[$caller->endpoint->id] = true;
            yield Finding::fault(
                "{$end->node->name} does not obey {$caller->node->name}",
                $caller->at('listed'),
                'It obeys those on its list only, and this one is not on it: the call rings out, the text is thrown away.',
                'Put the phone on the list, if that is what you want.',
                Fix::settings("Let it obey {$caller->node->name}", $caller->endpoint, ['listed' => true]),
                // Each of two may have to obey the other: which of them calls is part of what is found.
                about: [$caller->endpoint->id, $end->endpoint->id, "from {$caller->endpoint->id}"],
            );
        }
    }
}
