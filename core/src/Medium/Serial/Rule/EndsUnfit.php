<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Askers;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\Returning;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Spot;

/** More nodes than such a line can have, or a ring of what makes no ring. */
#[Finds('serial-ends-unfit', WorkStep::Links)]
final readonly class EndsUnfit implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $count = count($line->ends);
        $settings = $line->settings;
        $why = match (true) {
            $settings->topology !== Topology::Ring && $settings->levels === Levels::Rs232 && $count > 2 => ["RS-232 joins two ends, and {$link->name} has {$count}", 'Its drivers hold the line at all times: two on one wire fight.', 'RS-485 is made for many; RS-232 can be joined to a ring, each to the next.', null],
            $settings->topology === Topology::Pair && $count > 2 => ["{$link->name} has {$count} ends and is set for two", 'Two would speak on one wire at once.', 'Let one of them ask the others.', self::polled($look, $link, $line)],
            $settings->topology === Topology::Pair && $settings->levels === Levels::Rs485 && $count === 2 => ["Both ends of {$link->name} speak when they like, on one pair", 'RS-485 has one pair for both directions: two that begin at once garble each other.', 'Let one of them ask the other; or take RS-232, which has a wire for each.', self::polled($look, $link, $line)],
            $settings->topology === Topology::Ring && $settings->levels === Levels::Rs485 => ["{$link->name} is a ring of RS-485", 'On one pair all hear everything at once: there is nothing to hand on. A ring of pairs wants two transceivers in each node.', 'Join them to one pair, with one that asks; or take logic levels or RS-232 from node to node.', self::polled($look, $link, $line)],
            default => null,
        };
        if ($why !== null) {
            yield Finding::fault($why[0], Spot::of($link, $link->name, 'topology'), $why[1], $why[2], $why[3], numbers: ['ends' => $count], about: [$link->id]);
        }
    }

    /** All that it takes for one to ask the others. */
    private static function polled(Look $look, Link $link, SerialLine $line): ?Fix
    {
        $asker = Askers::best($look->plan, $line);
        // Who sleeps hears no question: first it has to stay awake.
        $asleep = array_filter($line->ends, static fn (Endpoint $end): bool => $look->plan->node($end->nodeId)->sleeps());
        if ($asker === null || $asleep !== []) {
            return null;
        }
        $joined = $line->settings->levels === Levels::Logic && count($line->ends) > 2;
        $settings = ['topology' => Topology::Polled->value, ...($joined ? ['returning' => Returning::LetGo->value] : [])];
        $operations = [Operation::change(Link::kind(), $link->id, ['settings' => Trial::timed($look, $link, $settings)])];
        foreach ($line->ends as $end) {
            $operations[] = Operation::change(Endpoint::kind(), $end->id, ['role' => Role::Both->value, 'settings' => ['asks' => $end->id === $asker->id]]);
        }

        return Trial::offered($look, $link, new Fix("Let {$look->plan->node($asker->nodeId)->name} ask the others", ...$operations));
    }
}
