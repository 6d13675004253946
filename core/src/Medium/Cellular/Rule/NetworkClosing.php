<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Plan;

final readonly class NetworkClosing extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-network-closing';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            if ($modem->figures->textOrNull('generation') !== '2g') {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "{$modem->node->name} lives on a network that is being closed",
                Subject::of($modem->endpoint, $modem->where(), 'moduleId'),
                [],
                '2G is switched off country by country; on that day it goes silent, without a message.',
                'Ask your operator how long it stays; an LTE modem lasts longer.',
            );
        }
    }
}
