<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\UniverseNumbers;
use Rundfunk\Plan\Spot;

/** Two universes over the network that have one number. */
#[Finds('dmx-universe-shared', WorkStep::Links)]
final readonly class UniverseShared implements PlanRule
{
    public function check(Look $look): iterable
    {
        $taken = UniverseNumbers::taken($look->plan);
        foreach ($taken as $number => $links) {
            foreach (array_slice($links, 1) as $other) {
                $link = $look->plan->link($other);
                $free = UniverseNumbers::free($taken);
                yield Finding::fault(
                    "{$look->plan->link($links[0])->name} and {$link->name} are both universe {$number}",
                    Spot::of($link, $link->name, 'universe'),
                    'To the network they are one: the lamps of each obey both senders in turn.',
                    'Give each its own number.',
                    Fix::change("{$link->name} is universe {$free}", $link, ['settings' => ['universe' => $free], 'pinned' => array_values(array_diff($link->pinned, ['universe']))]),
                    numbers: ['universe' => $number],
                    about: [$links[0], $other],
                );
            }
        }
    }
}
