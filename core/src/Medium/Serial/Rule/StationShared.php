<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Stations;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two nodes of one id: both answer. */
#[Finds('serial-id-shared', WorkStep::Links)]
final readonly class StationShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $byId = [];
        $line = SerialLine::of($look->plan, $link);
        foreach ($line->ends as $end) {
            $id = SerialEnd::of($end)->station;
            // One that it cannot be is said of each.
            if ($id === null || ! $line->hasId($end) || $id === SerialEnd::EVERYBODY || $id > $line->highestId($end)) {
                continue;
            }
            $other = $byId[$id] ?? null;
            $byId[$id] ??= $end;
            if ($other !== null) {
                $name = $look->plan->node($end->nodeId)->name;
                yield Finding::fault(
                    "{$look->plan->node($other->nodeId)->name} and {$name} are both id {$id}",
                    Spot::of($end, "{$name} on {$link->name}", 'station'),
                    'Both do what one is told, and both answer at once: the answers garble each other.',
                    'Give each its own.',
                    self::fix($look, $link, $end, $name),
                    numbers: ['id' => $id],
                    about: [$other->id, $end->id],
                );
            }
        }
    }

    private static function fix(Look $look, Link $link, Endpoint $end, string $name): ?Fix
    {
        $id = Stations::free($look->plan, $link, $end);

        return $id === null ? null : Fix::change("Make {$name} id {$id}", $end, ['settings' => ['station' => $id], 'pinned' => array_values(array_diff($end->pinned, ['station']))]);
    }
}
