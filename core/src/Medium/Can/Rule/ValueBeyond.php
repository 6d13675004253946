<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSayings;
use Rundfunk\Plan\Spot;

/** A figure that a signal cannot bear. */
#[Finds('can-value-beyond', WorkStep::Routes)]
final readonly class ValueBeyond implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        if ($leg->link->medium !== Can::KEY || $leg->sender->kind->isBought() || ! $leg->receiver->kind->isBought()) {
            return [];
        }
        $figure = CanSayings::figure($look->plan, $leg->hop);
        $found = CanEnd::of($look->plan, $leg->from)->signal($leg->output->channel);
        [$least, $most] = $found === null ? [0.0, 0.0] : $found[1]->range();
        if ($figure === null || $found === null || $found[1]->of->equals !== null || ($figure >= $least && $figure <= $most)) {
            return [];
        }
        $nearest = (int) max(ceil($least), min(floor($most), (float) $figure));

        return [Finding::fault(
            "{$found[1]->name} goes from ".Figures::significant($least).' to '.Figures::significant($most).": it bears no {$figure}",
            Spot::of($leg->route, "{$leg->control->name} → {$leg->output->name}", 'value'),
            'It is told the nearest that fits, which is another figure.',
            'Set a figure between, or look again at its bits and scale.',
            $leg->route->value === null ? null : Fix::change("Set {$nearest}", $leg->route, ['value' => $nearest]),
            numbers: ['least' => $least, 'most' => $most, 'value' => $figure],
            about: [$leg->hop->id],
        )];
    }
}
