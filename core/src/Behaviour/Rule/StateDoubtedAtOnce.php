<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Spot;

/** One message that is lost, and what shows a state says that nobody knows. */
#[Finds('state-doubted-at-once', WorkStep::Routes)]
final readonly class StateDoubtedAtOnce implements OutputRule
{
    /** Common practice. */
    private const AFTER = 3;

    public function check(Output $output, Look $look): iterable
    {
        if ($output->kind->settings()->field('unknownAfter') === null || $output->setting('unknownAfter') > 1 || Answers::believedMs($look->plan, $output) === 0) {
            return [];
        }

        return [Finding::advice(
            "{$output->name} doubts after one message that is lost",
            Spot::of($output, "{$output->name} of {$look->plan->node($output->nodeId)->name}", 'unknownAfter'),
            'Every link loses one now and then; a lamp that blinks each time is soon not looked at any more.',
            'Let it miss three: common practice.',
            Fix::settings('After '.self::AFTER, $output, ['unknownAfter' => self::AFTER]),
            numbers: ['believed_ms' => Answers::believedMs($look->plan, $output)],
        )];
    }
}
