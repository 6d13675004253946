<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;

/** Two phones with one number. */
#[Finds('cell-number-shared', WorkStep::Links)]
final readonly class NumberShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $first = [];
        foreach ($look->plan->endpointsOn($link) as $endpoint) {
            $end = $look->end($endpoint);
            $number = $end->node->kind === NodeKind::Phone ? Commands::number($look->plan, $endpoint)?->e164 : null;
            $other = $number === null ? $end : $first[$number] ??= $end;
            if ($other === $end) {
                continue;
            }
            yield Finding::fault(
                "{$other->node->name} and {$end->node->name} have one number",
                $end->at('address'),
                'The modem knows callers by their number alone; it would take the one for the other.',
                'One of them was typed wrongly, or they are one phone.',
                numbers: ['number' => $number],
                about: [$other->endpoint->id, $endpoint->id],
            );
        }
    }
}
