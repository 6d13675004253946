<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketEars;
use Rundfunk\Plan\Spot;

/** Pipes 1 to 5 of a receiver share all of the address but its last byte. */
#[Finds('packet-pipe-prefix-broken', WorkStep::Links)]
final readonly class PipePrefixBroken implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $lead = null;
        foreach (PacketEars::of($look->plan, $end->endpoint) as $one) {
            if ($one->address->pipe === 0) {
                continue;
            }
            $lead ??= $one;
            if ($lead->parsed->prefix() === $one->parsed->prefix()) {
                continue;
            }
            $fixed = $lead->parsed->endingIn($one->parsed->last());
            yield Finding::fault(
                "Pipe {$one->address->pipe} of {$end->node->name} cannot have that address",
                Spot::of($one->address, $one->where(), 'value'),
                "The part stores only the last byte of pipes 2 to 5 and takes the rest from pipe 1: it would listen on {$fixed->spaced()}, not on {$one->parsed->spaced()}.",
                'Let it begin as pipe 1 does.',
                Fix::change("Set {$fixed->spaced()}", $one->address, ['value' => $fixed->hex]),
                numbers: ['pipe' => $one->address->pipe, 'address' => $one->parsed->hex, 'prefix' => $lead->parsed->prefix()],
            );
        }
    }
}
