<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\UniverseNumbers;
use Rundfunk\Plan\Spot;

/** A universe over the network that has no number. */
#[Finds('dmx-universe-missing', WorkStep::Links)]
final readonly class UniverseMissing implements PlanRule
{
    public function check(Look $look): iterable
    {
        $free = null;
        foreach ($look->plan->linksOver(Dmx::KEY) as $link) {
            $settings = DmxSettings::of($link);
            if (! $settings->isNetwork || $settings->universe !== null) {
                continue;
            }
            $free ??= UniverseNumbers::free(UniverseNumbers::taken($look->plan));
            yield Finding::fault(
                "{$link->name} has no number",
                Spot::of($link, $link->name, 'universe'),
                'The number decides where on the network its packets go, and what receivers must be set to.',
                'Give it one that no other universe has.',
                Fix::settings("It is universe {$free}", $link, ['universe' => $free]),
                about: [$link->id],
            );
        }
    }
}
