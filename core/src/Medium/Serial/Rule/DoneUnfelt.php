<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** Whether a function is done reads 0 or 1, and is compared with something else. */
#[Finds('serial-done-unfelt', WorkStep::Nodes)]
final readonly class DoneUnfelt implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        $item = $node->speaks() === null || $control->kind !== ControlKind::Reading || $control->terminal === null ? null : $look->plan->protocol($node->speaks())->item($control->terminal);
        if ($item?->kind !== ProtocolItemKind::Does || $look->plan->routesFrom($control) === []) {
            return [];
        }
        $settings = new Values($control->settings);
        $threshold = $settings->numberOrNull('threshold');
        $hysteresis = $settings->number('hysteresis');
        $above = $settings->text('beyond') === 'above';
        if ($threshold !== null && ($above ? $threshold < 1 && $threshold - $hysteresis >= 0 : $threshold > 0 && $threshold + $hysteresis <= 1)) {
            return [];
        }

        return [Finding::fault(
            "{$control->name} of {$node->name} never turns",
            Spot::of($control, "{$node->name}, {$control->name}", 'threshold'),
            "It reads 1 once {$item->name} is done and 0 before: a threshold of ".($threshold ?? 'nothing')." with a hysteresis of {$hysteresis} does not part the two.",
            'Half way between, with less than that to come back.',
            Fix::change('Compare with a half', $control, ['settings' => ['threshold' => 0.5, 'hysteresis' => 0.2]]),
            numbers: ['threshold' => $threshold, 'hysteresis' => $hysteresis],
            about: [$control->id],
        )];
    }
}
