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
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Stations;

/** An id that is kept for something else, or that the node cannot be given. */
#[Finds('serial-id-impossible', WorkStep::Links)]
final readonly class StationImpossible implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $at = SerialEnd::of($end->endpoint);
        $line = SerialLine::of($look->plan, $end->link);
        $highest = $line->highestId($end->endpoint);
        if ($at->station === null || ! $line->hasId($end->endpoint) || ($at->station !== SerialEnd::EVERYBODY && $at->station <= $highest)) {
            return [];
        }
        $why = match (true) {
            $at->idBy === IdBy::Switches && $at->highestId() === $highest => 'Its '.Figures::counted($at->switches, 'switch')." say 0 to {$highest}.",
            $highest < SerialEnd::HIGHEST => "What it speaks writes ids up to {$highest}.",
            default => 'Ids above '.SerialEnd::HIGHEST.' are kept free, as is the custom on such lines.',
        };

        return [Finding::fault(
            $at->station === SerialEnd::EVERYBODY ? "{$end->node->name} has the id that everybody hears" : "{$end->node->name} cannot be id {$at->station}",
            $end->at('station'),
            $at->station === SerialEnd::EVERYBODY ? 'What goes to id 0 is taken by all and answered by none.' : $why,
            "Take 1 to {$highest}.",
            self::fix($look, $end),
            numbers: ['id' => $at->station, 'highest' => $highest],
        )];
    }

    private static function fix(Look $look, End $end): ?Fix
    {
        $id = Stations::free($look->plan, $end->link, $end->endpoint);

        return $id === null ? null : Fix::change("Make it id {$id}", $end->endpoint, ['settings' => ['station' => $id], 'pinned' => array_values(array_diff($end->endpoint->pinned, ['station']))]);
    }
}
