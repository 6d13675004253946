<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\HopRule;
use Rundfunk\Check\Leg;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A device is set to more than it takes: its program refuses it, or does something else. */
#[Finds('serial-value-beyond', WorkStep::Routes)]
final readonly class ValueBeyond implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $protocol = $leg->receiver->speaks() === null ? null : $look->plan->protocol($leg->receiver->speaks());
        $value = $protocol === null || $leg->output->nodeId !== $leg->receiver->id ? null : Meant::itemOf($leg->output, $protocol)?->set();
        if ($value === null || $value->isSwitch() || $leg->route->action !== Action::Set) {
            return [];
        }
        $fixed = $leg->route->value;
        $span = $leg->output->span();
        $lowest = $fixed ?? $span?->lowest;
        $highest = $fixed ?? $span?->highest;
        $takes = ($value->lowest ?? 'whatever').' to '.($value->highest ?? 'whatever').($value->unit === '' ? '' : " {$value->unit}");
        if (($lowest ?? $value->lowest ?? 0) >= ($value->lowest ?? PHP_INT_MIN) && ($highest ?? $value->highest ?? 0) <= ($value->highest ?? PHP_INT_MAX)) {
            return [];
        }
        $within = static fn (int $figure): int => max($value->lowest ?? $figure, min($value->highest ?? $figure, $figure));

        return [Finding::fault(
            $fixed === null ? "{$leg->output->name} goes from {$lowest} to {$highest}, and {$leg->receiver->name} takes {$takes}" : "{$leg->output->name} is set to {$fixed}, and {$leg->receiver->name} takes {$takes}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'value'),
            'What goes beyond is brought back to its limit: a stick moves on and nothing follows.',
            'Keep to what it takes.',
            $fixed === null
                ? Fix::change("Let it go from {$value->lowest} to {$value->highest}", $leg->output, ['settings' => ['lowest' => $value->lowest ?? $lowest, 'highest' => $value->highest ?? $highest]])
                : Fix::change("Set it to {$within($fixed)}", $leg->route, ['value' => $within($fixed)]),
            numbers: ['lowest' => $lowest, 'highest' => $highest],
            about: [$leg->route->id, $leg->output->id],
        )];
    }
}
