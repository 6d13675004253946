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
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** A device is asked for what its function cannot do. */
#[Finds('serial-function-cannot', WorkStep::Routes)]
final readonly class FunctionCannot implements HopRule
{
    public function check(Leg $leg, Look $look): iterable
    {
        $protocol = $leg->receiver->speaks() === null ? null : $look->plan->protocol($leg->receiver->speaks());
        $item = $protocol === null || $leg->output->nodeId !== $leg->receiver->id ? null : Meant::itemOf($leg->output, $protocol);
        if ($item === null || Meant::can($item, $leg->route->action)) {
            return [];
        }
        $can = array_values(array_filter($leg->control->kind->actions(), static fn (Action $action): bool => Meant::can($item, $action)))[0] ?? null;

        return [Finding::fault(
            "{$leg->output->name} cannot be {$leg->route->action->done()}",
            Spot::of($leg->route, RouteNames::of($look->plan, $leg->route), 'action'),
            self::what($item),
            'Ask for what it can; or write down the function that does it.',
            $can === null || $leg->output->hazards !== [] ? null : self::fix($leg, $item, $can),
            numbers: ['action' => $leg->route->action->value],
            about: [$leg->route->id],
        )];
    }

    /** With a figure that the device takes, and the output too, where the control says none. */
    private static function fix(Leg $leg, ProtocolItem $item, Action $can): ?Fix
    {
        $value = $item->set();
        $span = $leg->output->span();
        $least = max($value->lowest ?? -32_768, $span->lowest ?? -32_768);
        $most = min($value->highest ?? 32_767, $span->highest ?? 32_767);
        if ($can !== Action::Set) {
            return Fix::change("Make it {$can->value}", $leg->route, ['action' => $can->value]);
        }
        if ($leg->control->saysValue()) {
            return $span !== null && $least <= $span->lowest && $most >= $span->highest ? Fix::change('Make it set', $leg->route, ['action' => $can->value, 'value' => null]) : null;
        }

        return $least > $most ? null : Fix::change('Make it set', $leg->route, ['action' => $can->value, 'value' => max($least, min($most, $leg->route->value ?? $most))]);
    }

    private static function what(ProtocolItem $item): string
    {
        $value = $item->set();

        return match (true) {
            $value === null => "{$item->name} is something that it does when it is told: it has no off, and nobody says that it is under way.",
            $value->isSwitch() => "{$item->name} is put on or off: it does not know how to change over, and a pulse would want an off that nobody sends.",
            default => "{$item->name} is set to a figure, and knows no on and off.",
        };
    }
}
