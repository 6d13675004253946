<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Silence;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\RouteRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** Something that can hurt is held on from afar, and goes on when its sender does not. */
#[Finds('held-for-ever', WorkStep::Routes)]
final readonly class HeldForEver implements RouteRule
{
    /** Told again so often; off after three that were missed. Common practice. */
    private const REPEAT_MS = 200;

    public function check(Route $route, Look $look): iterable
    {
        $plan = $look->plan;
        $output = $plan->output($route->outputId);
        $control = $plan->control($route->controlId);
        $hurts = array_filter($output->proofHazards(), static fn (Hazard $hazard): bool => $hazard !== Hazard::Access);
        // Of one that says what it must be, the matrix of safe states says so.
        if ($output->safe !== null || $hurts === [] || $output->nodeId === $control->nodeId || ! Watched::canBe($output) || ! $route->holdsToControl() || $output->setting('silenceMs') > 0 || Silence::isNoticed($look, $control, $output)) {
            return [];
        }
        $hazard = array_values($hurts)[0];
        $repeat = Watched::repeatMs($control);
        $repeat = $repeat === 0 ? self::REPEAT_MS : $repeat;
        $operations = [Operation::change(Output::kind(), $output->id, ['settings' => ['silenceMs' => 3 * $repeat + 50]])];
        if (Watched::canRepeat($control) && Watched::repeatMs($control) === 0) {
            $operations[] = Operation::change(Control::kind(), $control->id, ['settings' => ['repeatMs' => $repeat]]);
        }

        return [Finding::danger(
            "{$output->name} goes on when {$plan->node($control->nodeId)->name} falls silent",
            Spot::of($output, "{$output->name} of {$plan->node($output->nodeId)->name}", 'silenceMs'),
            "{$control->name} holds it, and {$hazard->words()}: out of range, or with an empty battery, nobody ever says that it was let go.",
            "Let the control tell again and again that it is held, and the output go off when it is not heard of. {$hazard->caution()}",
            Watched::canRepeat($control) ? new Fix('Off after three that were missed', ...$operations) : null,
            about: [$route->id],
        )];
    }
}
