<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\CanSignal;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Medium\Can\Signals;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A reading of a bought node that is no signal which it sends. */
#[Finds('can-reading-unknown', WorkStep::Nodes)]
final readonly class ReadingUnknown implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $node = $look->plan->node($control->nodeId);
        $ends = $node->kind->isBought() ? Ends::of($look->plan, $node) : [];
        if ($ends === [] || ! in_array($control->kind, [ControlKind::Reading, ControlKind::Key], true)) {
            return [];
        }
        $found = Signals::of($look->plan, $ends, $control->terminal);
        if ($found !== null && $control->kind === ControlKind::Reading) {
            return [];
        }
        $likely = $found[1]->name ?? Signals::likely($look->plan, $ends, $control);

        return [Finding::fault(
            match (true) {
                $found !== null => "{$control->name} of {$node->name} is no reading",
                $control->terminal === null => "{$control->name} of {$node->name} is no signal yet",
                default => "{$node->name} sends no {$control->terminal}",
            },
            Spot::of($control, "{$node->name}, {$control->name}", $found === null ? 'terminal' : 'kind'),
            'What a bought node says on its bus comes as bits of its messages; a reading is one of those, and a bit that is on or off a reading of 0 or 1.',
            'Choose what is meant, or describe it: from a DBC file, by hand, or by finding its bit in recordings.',
            $likely === null ? null : self::fix($look, $control, $ends, $likely),
            numbers: ['signal' => $control->terminal ?? 'none'],
            about: [$control->id],
        )];
    }

    /**
     * It becomes that signal, where its threshold lies within what that says, boards can read it, and its routes do nothing that no reading does.
     *
     * @param  list<Endpoint>  $ends
     */
    private static function fix(Look $look, Control $control, array $ends, string $name): ?Fix
    {
        $signal = Signals::of($look->plan, $ends, $name)[1] ?? null;
        $threshold = $control->kind === ControlKind::Reading ? (new Values($control->settings))->numberOrNull('threshold') : 0.5;
        $unlike = array_filter($look->plan->routesFrom($control), static fn (Route $route): bool => ! in_array($route->action, ControlKind::Reading->actions(), true));
        if ($signal === null || $signal->of->bits > CanSignal::BITS_READ || $unlike !== [] || ($threshold !== null && ! $signal->passes($threshold))) {
            return null;
        }

        return $control->kind === ControlKind::Reading
            ? Fix::change("Make it {$name}", $control, ['terminal' => $name])
            : Fix::change("Make it the reading {$name}", $control, ['kind' => ControlKind::Reading->value, 'terminal' => $name, 'settings' => ['threshold' => 0.5]]);
    }
}
