<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\Filters;
use Rundfunk\Medium\Can\Overheard;
use Rundfunk\Medium\Can\Recording;

/** A controller whose filters let through what its node does not need. */
#[Finds('can-filters-leak', WorkStep::Links)]
final readonly class FiltersLeak implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->link->medium !== Can::KEY || ! isset($end->class->figures['filters'])) {
            return [];
        }
        $bus = CanBus::of($look->plan, $end->link);
        $wanted = $bus->wanted($end->endpoint);
        $strangers = $wanted === [] ? [] : Filters::for($wanted, Overheard::on($bus, $end->endpoint))->strangers;
        if ($strangers === []) {
            return [];
        }

        return [Finding::advice(
            "{$end->node->name} hears ".implode(', ', array_map(Recording::hex(...), array_slice($strangers, 0, 6))).' too, and drops it',
            $end->at(),
            Figures::counted(count($wanted), 'identifier').' through two masks with six filters: these come along. Its program looks at each and lets it go, which takes its time.',
            'Nothing needs to be done where the loop is quick; else let boards of yours use identifiers that lie close together.',
            numbers: ['strangers' => count($strangers)],
            about: [$end->endpoint->id],
        )];
    }
}
