<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxSettings;
use Rundfunk\Medium\Dmx\PartAsked;

/** An end that is set for another part than the one it has. */
#[Finds('dmx-part-unlike', WorkStep::Links)]
final readonly class PartUnlike implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $unlike = $end->class === null || DmxSettings::of($end->link)->isNetwork ? [] : PartAsked::unlike($end->endpoint, $end->class);
        if ($unlike === []) {
            return [];
        }
        $part = "{$end->module?->name} of {$end->node->name}";
        $bridge = $unlike['bridges'] ?? null;
        $outputs = ($unlike['outputs'] ?? 0) === 0 ? 'one output' : "{$unlike['outputs']} outputs";

        return [Finding::fault(
            match ($bridge) {
                true => "{$part} is a bridge, and is not told as one",
                false => "{$part} is no bridge, and is told as one",
                default => "{$part} has {$outputs}",
            },
            $end->at(array_key_first($unlike)),
            $bridge === null ? 'Each output begins a stretch of cable of its own: which lamp hangs where follows from that.' : 'A bridge is told words at its own rate; a driver wants the slots themselves at 250 000 baud. Either understands nothing of the other.',
            'Set the end as its part is.',
            Fix::settings(match ($bridge) {
                true => 'Tell it as a bridge',
                false => 'Drive the wires itself',
                default => ucfirst($outputs),
            }, $end->endpoint, $unlike),
            about: [$end->endpoint->id],
        )];
    }
}
