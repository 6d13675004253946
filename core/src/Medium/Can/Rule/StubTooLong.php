<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\CanSettings;

/** An end that hangs on the bus by too long a branch. */
#[Finds('can-stub-too-long', WorkStep::Links)]
final readonly class StubTooLong implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if ($end->link->medium !== Can::KEY) {
            return [];
        }
        $stubM = CanEnd::of($look->plan, $end->endpoint)->stubM;
        $mostM = CanSettings::of($end->link)->stubM();
        if ($stubM <= $mostM) {
            return [];
        }

        return [Finding::warning(
            "{$end->node->name} hangs on {$end->link->name} by ".Figures::significant($stubM).' m; at this rate '.Figures::significant($mostM).' m are the most',
            $end->at('stubM'),
            'What runs into a branch comes back from its open end and is heard as another bit.',
            'Lead the bus to it and on: the cable goes in and out at its terminals.',
            Fix::change("Lead the bus through {$end->node->name}", $end->endpoint, ['settings' => ['stubM' => 0.0]]),
            numbers: ['stub_m' => $stubM, 'most_m' => round($mostM, 3)],
            about: [$end->endpoint->id],
        )];
    }
}
