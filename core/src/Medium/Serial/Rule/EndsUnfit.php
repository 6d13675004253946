<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Plan\Link;
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
            $settings->topology === Topology::Pair && $count > 2 => ["{$link->name} has {$count} ends and is set for two", 'Two would speak on one wire at once.', 'Let one of them ask the others.', ['topology' => Topology::Polled->value]],
            $settings->topology !== Topology::Ring && $settings->levels === Levels::Rs232 && $count > 2 => ["RS-232 joins two ends, and {$link->name} has {$count}", 'Its drivers hold the line at all times: two on one wire fight.', 'RS-485 is made for many.', ['levels' => Levels::Rs485->value]],
            $settings->topology === Topology::Ring && $settings->levels === Levels::Rs485 => ["{$link->name} is a ring of RS-485", 'On one pair all hear everything at once: there is nothing to hand on. A ring of pairs wants two transceivers in each node.', 'Join them to one pair, with one that asks; or take logic levels or RS-232 from node to node.', ['topology' => Topology::Polled->value]],
            default => null,
        };
        if ($why !== null) {
            yield Finding::fault($why[0], Spot::of($link, $link->name, array_key_first($why[3])), $why[1], $why[2], Fix::settings(match (array_key_first($why[3])) {
                'topology' => 'Let one ask the others', default => 'Set RS-485',
            }, $link, $why[3]), numbers: ['ends' => $count], about: [$link->id]);
        }
    }
}
