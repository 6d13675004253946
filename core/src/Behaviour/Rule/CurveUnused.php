<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\ClassScale;
use Rundfunk\Behaviour\Scales;
use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Spot;

/** A sensor whose class says how it reads, and a program that is left to find out. */
#[Finds('scale-of-class', WorkStep::Nodes)]
final readonly class CurveUnused implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        if ($control->kind !== ControlKind::Reading || $control->moduleId === null || Scales::isBegun($control)) {
            return [];
        }
        $class = $look->catalogue->classOf($look->plan->module($control->moduleId));
        $node = $look->plan->node($control->nodeId);
        $board = $look->board($node);
        if ($class->thermistor === null || $board === null || $board->logicV < $class->minV || $board->logicV > $class->maxV) {
            return [];
        }
        $fitted = ClassScale::of($class->thermistor, $board);
        if ($fitted === null) {
            return [];
        }
        $points = 2 + count($fitted->scale->more);
        $worst = Figures::significant($fitted->worst);

        return [Finding::advice(
            "{$control->name} is not worked out from what it reads",
            Spot::of($control, "{$node->name}, {$control->name}", 'rawFrom'),
            "The program would have to make degrees of it. By the curve of its class {$points} points do, at most {$worst} °C off from ".Figures::significant($class->thermistor->fromC).' to '.Figures::significant($class->thermistor->toC).' °C, where it is fed from what the converter measures against, as a rule the board\'s own '.Figures::significant($board->logicV).' V.',
            'Take the curve of its class, and hold it against a thermometer in two places. A broken wire reads as deep cold: the node\'s behaviour says beyond which figure it must count as failed.',
            Fix::settings('Take the curve of its class', $control, $fitted->settings()),
            numbers: ['points' => $points, 'worst_c' => $fitted->worst],
        )];
    }
}
