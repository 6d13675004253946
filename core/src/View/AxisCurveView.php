<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Behaviour\Axes;
use Rundfunk\Behaviour\Axis;
use Rundfunk\Drawing\AxisDrawing;
use Rundfunk\Drawing\Ink;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\AxisCurve;

/** What a stick comes to against what it reads; nothing for any other control, nor while its middle is at one of its ends. */
final readonly class AxisCurveView implements View
{
    public function key(): string
    {
        return 'axis-curve';
    }

    public function owner(): string
    {
        return Control::class;
    }

    public function shape(): string
    {
        return AxisCurve::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?AxisCurve
    {
        $control = $plan->control($of);
        $axis = $control->kind === ControlKind::Axis ? Axes::of($plan, $control, $knowledge->of($plan)->catalogue) : null;
        if ($axis === null) {
            return null;
        }
        $half = intdiv($axis->centre + $axis->highest, 2);
        $percent = intdiv(100 * $axis->position($half), Axis::FULL);

        return new AxisCurve($axis->lowest, $axis->centre, $axis->highest, AxisDrawing::WIDTH, AxisDrawing::HEIGHT, (new AxisDrawing($axis, Ink::Screen))->markup(), "from {$axis->lowest} by {$axis->centre} to {$axis->highest}; half way up it is at {$percent} %");
    }
}
