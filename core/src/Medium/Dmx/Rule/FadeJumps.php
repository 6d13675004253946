<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\Fade;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Spot;

/** A fade that is over before it is seen as one. */
#[Finds('dmx-fade-jumps', WorkStep::Routes)]
final readonly class FadeJumps implements HopRule
{
    /** Common practice. */
    private const FEWEST = 10;

    public function check(Leg $leg, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $leg->link);
        if ($leg->route->fadeMs === 0 || $universe->slotOf($leg->hop) === null || $leg->sender->kind->isBought() || DmxEnd::of($leg->from)->bridges) {
            return [];
        }
        $packets = Fade::packets($leg->route->fadeMs, $universe->periodUs());
        if ($packets >= self::FEWEST) {
            return [];
        }
        $enough = intdiv(self::FEWEST * $universe->periodUs() + 999, 1_000);

        return [Finding::advice(
            "{$leg->output->name} of {$leg->receiver->name} goes there in ".Figures::counted($packets, 'step'),
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}", 'fadeMs'),
            'All slots are told every '.Figures::significant($universe->periodUs() / 1_000)." ms: {$leg->route->fadeMs} ms are {$packets} of that. Below ten steps a fade is seen to jump.",
            'Take longer, or go at once.',
            Fix::change("Take {$enough} ms", $leg->route, ['fadeMs' => $enough]),
            numbers: ['steps' => $packets],
            about: [$leg->hop->id],
        )];
    }
}
