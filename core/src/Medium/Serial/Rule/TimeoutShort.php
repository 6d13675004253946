<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** An answer is given up before it can be there; or it is not said how long one waits. */
#[Finds('serial-timeout-short', WorkStep::Links)]
final readonly class TimeoutShort implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $least = $line->leastTimeoutMs();
        $now = $line->settings->timeoutMs;
        if (count($line->ends) < 2 || ($now !== null && $now >= $least)) {
            return;
        }
        $fix = Fix::change("Wait {$least} ms", $link, ['settings' => ['timeoutMs' => $least], 'pinned' => array_values(array_diff($link->pinned, ['timeoutMs']))]);
        yield $now === null
            ? Finding::fault("Nobody said how long {$link->name} waits for an answer", Spot::of($link, $link->name, 'timeoutMs'), 'Without that the program waits for ever when one node is off.', "{$least} ms: until an answer can be there, and half as long again.", $fix, numbers: ['least_ms' => $least], about: [$link->id])
            : Finding::fault("{$link->name} waits {$now} ms for an answer that takes longer", Spot::of($link, $link->name, 'timeoutMs'), 'An answer takes '.Figures::duration($line->answerNs()).', and a program that is busy answers late: each answer runs into the next question.', "{$least} ms at least.", $fix, numbers: ['timeout_ms' => $now, 'least_ms' => $least], about: [$link->id]);
    }
}
