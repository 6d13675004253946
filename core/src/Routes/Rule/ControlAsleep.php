<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Spot;

/** A control that its node sleeps through: a key where only the clock wakes it, a reading where only a key does. */
#[Finds('control-asleep', WorkStep::Nodes)]
final readonly class ControlAsleep implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        if (! $node->sleeps() || ! self::sleepsThrough($node->sleep, $control) || $look->plan->routesFrom($control) === []) {
            return [];
        }
        $better = self::wakesForAll($node, $look);

        return [Finding::fault(
            "{$node->name} sleeps through {$control->name}",
            Spot::of($control, "{$node->name}, {$control->name}"),
            $node->sleep === Sleep::Between ? 'It wakes for each reading, and sleeps between them: nobody sees that it is pressed, or where it stands.' : 'A key wakes it, and nothing else: while nobody presses one, it reads nothing and counts no time.',
            'Let it wake for that, or stay awake.',
            Fix::change($better === Sleep::Never ? 'It stays awake' : "It {$better->words()}", $node, ['sleep' => $better->value]),
            about: [$control->id, $node->id],
        )];
    }

    private static function sleepsThrough(Sleep $sleep, Control $control): bool
    {
        return match ($sleep) {
            Sleep::Never => false,
            Sleep::Between => in_array($control->kind, [ControlKind::Button, ControlKind::Switch, ControlKind::Axis], true),
            // A stick is a voltage that nobody looks at, and a state that is told again and again wants a clock.
            Sleep::UntilKey => in_array($control->kind, [ControlKind::Reading, ControlKind::Timer, ControlKind::Trigger, ControlKind::Axis], true) || $control->toldEveryS() > 0,
        };
    }

    /** How it may sleep and miss none of the controls that routes begin at. */
    private static function wakesForAll(Node $node, Look $look): Sleep
    {
        $used = array_filter($look->plan->controlsOf($node), static fn (Control $one): bool => $look->plan->routesFrom($one) !== []);
        foreach ([Sleep::UntilKey, Sleep::Between] as $sleep) {
            if (array_filter($used, static fn (Control $one): bool => self::sleepsThrough($sleep, $one)) === []) {
                return $sleep;
            }
        }

        return Sleep::Never;
    }
}
