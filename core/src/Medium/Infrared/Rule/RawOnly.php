<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Plan\Plan;

/** A code of no known protocol is in use. */
final readonly class RawOnly extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-raw-only';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::sends($plan) as ['link' => $link, 'hop' => $hop, 'code' => $code]) {
            if ($code->protocol !== 'raw' || $plan->node($plan->endpoint($hop->toId)->nodeId)->kind->isBought()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "{$code->name} is known by its timings alone",
                Subject::of($code, "{$plan->node($code->nodeId)->name}, {$code->name}"),
                ['lengths' => count(IrCodes::signal($code, $this->protocols)->lengthsNs ?? [])],
                'No protocol explains it, so the program must compare every length with what was captured: slower, and easily fooled by sun or distance.',
                "Capture it three times on {$link->name} from two distances; a remote of a known protocol is surer.",
                null,
                [$code->id],
            );
        }
    }
}
