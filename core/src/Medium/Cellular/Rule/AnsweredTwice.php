<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;

/** A text that is answered, and besides comes back as the state of what it worked. Asked of the phone, at which both meet. */
#[Finds('cell-answered-twice', WorkStep::Routes)]
final readonly class AnsweredTwice implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        // Most nodes have no message that could tell a state.
        $tells = array_filter($look->plan->outputsOf($node), static fn (Output $output): bool => $output->kind === OutputKind::Message);
        foreach ($tells === [] ? [] : $look->plan->controlsOf($node) as $control) {
            $state = Commands::answers($control) && Commands::reachModem($look->plan, $control) ? Commands::answeringState($look->plan, $control) : null;
            if ($state === null) {
                continue;
            }

            yield Finding::advice(
                "{$control->name} of {$node->name} is answered twice",
                Spot::of($control, "{$node->name}, {$control->name}", 'reply'),
                "It is answered by itself, and {$state->name} is texted to the same telephone: two texts where one says it.",
                'Leave the answer to the state: it comes too when something else has worked it.',
                Fix::settings("Leave it to {$state->name}", $control, ['reply' => false]),
            );
        }
    }
}
