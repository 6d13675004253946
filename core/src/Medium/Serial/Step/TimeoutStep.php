<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** How long an answer is waited for: longer than it can take, and no longer, for each dead box costs the others that time. */
final readonly class TimeoutStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Serial::KEY) as $link) {
            $line = SerialLine::of($plan, $link);
            $now = $line->settings->timeoutMs;
            if (count($line->ends) < 2 || $link->pins('timeoutMs') || ($now !== null && $now >= $line->leastTimeoutMs())) {
                continue;
            }
            yield new Proposal(
                $this->stage(), Spot::of($link, $link->name, 'timeoutMs'), "How long {$link->name} waits for an answer",
                $now === null ? null : "{$now} ms", "{$line->leastTimeoutMs()} ms",
                'Until the answer can be there, and half as long again.',
                [Operation::change(Link::kind(), $link->id, ['settings' => ['timeoutMs' => $line->leastTimeoutMs()]])],
            );
        }
    }
}
