<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\IdBy;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\Stations;

/** An id that is kept for something else, or that the node cannot be given. */
#[Finds('serial-id-impossible', WorkStep::Links)]
final readonly class StationImpossible implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $at = SerialEnd::of($end->endpoint);
        if ($at->station === null || ($at->station !== SerialEnd::EVERYBODY && $at->station <= $at->highestId())) {
            return;
        }
        yield Finding::fault(
            $at->station === SerialEnd::EVERYBODY ? "{$end->node->name} has the id that everybody hears" : "{$end->node->name} cannot be id {$at->station}",
            $end->at('station'),
            $at->station === SerialEnd::EVERYBODY ? 'What goes to id 0 is taken by all and answered by none.' : ($at->idBy === IdBy::Switches ? 'Its '.Figures::counted($at->switches, 'switch')." say 0 to {$at->highestId()}." : 'Ids above '.SerialEnd::HIGHEST.' are kept free, as is the custom on such lines.'),
            "Take 1 to {$at->highestId()}.",
            self::fix($look, $end),
            numbers: ['id' => $at->station, 'highest' => $at->highestId()],
        );
    }

    private static function fix(Look $look, End $end): ?Fix
    {
        $id = Stations::free($look->plan, $end->link, $end->endpoint);

        return $id === null ? null : Fix::change("Make it id {$id}", $end->endpoint, ['settings' => ['station' => $id], 'pinned' => array_values(array_diff($end->endpoint->pinned, ['station']))]);
    }
}
