<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** A bus that is taken most of the time. */
#[Finds('can-load-high', WorkStep::Links)]
final readonly class LoadHigh implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if ($link->medium !== Can::KEY) {
            return [];
        }
        $bus = CanBus::of($look->plan, $link);
        $load = $bus->load();
        if ($load <= 0.5) {
            return [];
        }
        $faster = null;
        foreach ([50_000, 125_000, 250_000, 500_000, 1_000_000] as $rate) {
            $faster ??= $rate > $bus->settings->bitrate && Trial::suits($look, $bus, $rate) ? $rate : null;
        }

        return [Finding::of(
            $load > 1 ? Severity::Fault : ($load > 0.7 ? Severity::Warning : Severity::Advice),
            "{$link->name} is taken ".Figures::significant(100 * $load).' % of the time',
            Spot::of($link, $link->name, 'bitrate'),
            $load > 1 ? 'More is to be said than there is time for: what is least urgent never comes through.' : 'All that is known to come again and again, at worst stuffing. Above 70 % what is less urgent waits long after any error.',
            $bus->settings->foreign ? 'It is so: look at what is late because of it.' : 'Send less often, in fewer bytes, or at a higher rate.',
            $faster === null || $bus->settings->foreign ? null : Fix::change("Set {$faster} bit/s", $link, ['settings' => ['bitrate' => $faster]]),
            numbers: ['load_percent' => round(100 * $load, 2)],
            about: [$link->id],
        )];
    }
}
