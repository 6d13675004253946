<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Trial;

/** A rate beyond what the part between passes. */
#[Finds('serial-part-too-slow', WorkStep::Links)]
final readonly class PartTooSlow implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $most = $end->class->figures['baudMost'] ?? null;
        $baud = SerialSettings::of($end->link)->baud;
        if (! is_int($most) || $baud <= $most) {
            return [];
        }

        return [Finding::fault(
            "{$end->module?->name} of {$end->node->name} passes {$most} baud, {$end->link->name} runs at {$baud}",
            $end->at('moduleId'),
            'Its edges are slower than a bit is long.',
            'A lower rate, or another part.',
            Trial::settings('Set 115200 baud', $look, $end->link, ['baud' => min(115_200, $most)]),
            numbers: ['baud' => $baud, 'most' => $most],
        )];
    }
}
