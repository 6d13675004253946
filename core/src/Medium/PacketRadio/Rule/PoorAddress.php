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

#[Finds('packet-poor-address', WorkStep::Links)]
final readonly class PoorAddress implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        foreach (PacketEars::of($look->plan, $end->endpoint) as $one) {
            $weaknesses = $one->parsed->weaknesses();
            if ($weaknesses === []) {
                continue;
            }
            yield Finding::warning(
                "{$one->parsed->spaced()} is a poor address",
                Spot::of($one->address, $one->where(), 'value'),
                ucfirst(implode('; ', $weaknesses)).'. The receiver finds such an address in noise, or misses the real one.',
                'Choose an address with several changes of level.',
                Fix::change('Clear it, for Assign to choose', $one->address, ['value' => null, 'pinned' => false]),
                numbers: ['address' => $one->parsed->hex],
            );
        }
    }
}
