<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;

#[Finds('cell-network-closing', WorkStep::Links)]
final readonly class NetworkClosing implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        if ($modem->figures->textOrNull('generation') !== '2g') {
            return [];
        }

        return [Finding::advice(
            "{$modem->node->name} lives on a network that is being closed",
            Spot::of($modem->endpoint, $modem->where(), 'moduleId'),
            '2G is switched off country by country; on that day it goes silent, without a message.',
            'Ask your operator how long it stays; an LTE modem lasts longer.',
        )];
    }
}
