<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Routes\RouteNames;

/** What is mixed with a stick is no stick, or one of another node, or the stick itself. */
#[Finds('mix-elsewhere', WorkStep::Routes)]
final readonly class MixElsewhere implements RouteRule
{
    public function check(Route $route, Look $look): iterable
    {
        $other = $route->mixedId === null ? null : $look->plan->find(ThingKind::Control, $route->mixedId);
        $control = $look->plan->control($route->controlId);
        if (! $other instanceof Control || ($other->kind === ControlKind::Axis && $other->nodeId === $control->nodeId && $other->id !== $control->id && $control->kind === ControlKind::Axis)) {
            return [];
        }

        return [Finding::fault(
            "{$other->name} cannot be mixed with {$control->name}",
            Spot::of($route, RouteNames::of($look->plan, $route), 'mixedId'),
            'Both must be sticks of one node, for it is there that they are added before anything is sent: and two of them, for a stick added to itself is only steeper.',
            'Choose another stick of the same node, or mix nothing with it.',
            Fix::change('Mix nothing with it', $route, ['mixedId' => null]),
            about: [$route->id, $other->id],
        )];
    }
}
