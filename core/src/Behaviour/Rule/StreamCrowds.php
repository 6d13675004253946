<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\SaysAllAtOnce;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\TimesHops;

/** Sticks that are moved say where they are again and again: more than a link carries, and keys wait behind them. */
#[Finds('stream-crowds', WorkStep::Links)]
final readonly class StreamCrowds implements LinkRule
{
    /** Of a link's time; above it whoever else wants to say something waits often. Common practice. */
    private const SHARE = 0.5;

    public function check(Link $link, Look $look): iterable
    {
        $times = $look->media->offering(TimesHops::class, $link->medium);
        if ($times === null) {
            return [];
        }
        $all = $look->media->offering(SaysAllAtOnce::class, $link->medium)?->saysAll($link) ?? false;
        $sticks = [];
        $busyMs = [];
        foreach (Streams::over($look, $link) as ['stick' => $stick, 'hop' => $hop]) {
            $sticks[$stick->id] = $stick;
            // Two routes that go out as one message are told once; so are sticks that are looked at together, where one message says all.
            $once = $all ? '' : "{$stick->id} {$hop->code}";
            $busyMs[self::everyMs($stick)]["{$hop->fromId} {$hop->toId} {$once}"] = array_sum(array_map(static fn (Span $span): int => $span->typicalNs, $times->spans($look->plan, $hop, 0))) / 1_000_000;
        }
        $share = array_sum(array_map(static fn (int $everyMs, array $each): float => array_sum($each) / $everyMs, array_keys($busyMs), $busyMs));
        if ($share <= self::SHARE) {
            return [];
        }
        $every = (int) (10 * ceil(array_sum(array_map(array_sum(...), $busyMs)) / self::SHARE / 10));
        $names = implode(', ', array_map(static fn (Control $stick): string => $stick->name, $sticks));
        $percent = Figures::significant(100 * $share);

        return [Finding::warning(
            "Sticks take {$percent} % of {$link->name}",
            Spot::of($link, $link->name),
            "While {$names} move".(count($sticks) === 1 ? 's' : '').", a message goes out each time one is looked at: {$percent} % of the time there is.".($share > 1 ? ' It cannot be kept: what is driven lags behind the hand.' : ' Keys wait behind them, and what collides is lost.'),
            'Look at them more seldom: twenty times a second is as fast as a hand.'.($all ? '' : ' Or let one message carry both.'),
            $every <= 5_000 ? new Fix("Every {$every} ms", ...array_map(static fn (Control $stick): Operation => Operation::change(Control::kind(), $stick->id, ['settings' => ['everyMs' => max($every, self::everyMs($stick))]]), array_values($sticks))) : null,
            numbers: ['share' => $share, 'every_ms' => $every],
        )];
    }

    private static function everyMs(Control $stick): int
    {
        return max(1, (new Values($stick->settings))->whole('everyMs'));
    }
}
