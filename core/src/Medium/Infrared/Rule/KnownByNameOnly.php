<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** A code of a protocol that this program can name and not send. */
final readonly class KnownByNameOnly extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-known-by-name-only';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::sends($plan) as ['code' => $code]) {
            if ($code->protocol !== 'named') {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$code->name} is a number whose protocol is not known here",
                Subject::of($code, "{$plan->node($code->nodeId)->name}, {$code->name}"),
                ['number' => (string) $code->number, 'protocol' => (string) $code->format],
                "A keymap calls it {$code->number} of \"{$code->format}\"; nothing tells how that is put into marks and spaces.",
                'Capture the key itself: its timings are enough.',
                null,
                [$code->id],
            );
        }
    }
}
