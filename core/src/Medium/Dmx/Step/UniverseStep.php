<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\UniverseNumbers;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Numbers of the universes that go over the network. */
final readonly class UniverseStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Link;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $taken = UniverseNumbers::taken($plan);
        foreach ($plan->linksOver(Dmx::KEY) as $link) {
            $settings = DmxSettings::of($link);
            $now = $settings->universe;
            if (! $settings->isNetwork || in_array('universe', $link->pinned, true) || ($now !== null && ($taken[$now][0] ?? null) === $link->id)) {
                continue;
            }
            $number = UniverseNumbers::free($taken);
            $taken[$number] = [$link->id];
            yield new Proposal(
                $this->stage(), Spot::of($link, $link->name, 'universe'), "Universe of {$link->name}", $now === null ? null : (string) $now, (string) $number,
                'The lowest number that no other universe of this plan has.',
                [Operation::change(Link::kind(), $link->id, ['settings' => ['universe' => $number]])],
            );
        }
    }
}
