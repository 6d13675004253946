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
use Rundfunk\Medium\Cellular\WebReport;
use Rundfunk\Plan\Spot;

/** An access point that no network can have. */
#[Finds('cell-access-point', WorkStep::Links)]
final readonly class AccessPointWrong implements EndRule
{
    /** Labels of letters, digits and hyphens with points between. Source: 3GPP TS 23.003, 9.1, which takes them from the names of the internet. */
    private const NAME = '/^(?=.{1,100}$)[A-Za-z0-9]([A-Za-z0-9-]{0,61}[A-Za-z0-9])?(\.[A-Za-z0-9]([A-Za-z0-9-]{0,61}[A-Za-z0-9])?)*$/D';

    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        $report = $modem === null ? null : WebReport::of($look->plan, $modem);
        if ($modem === null || $report === null || $report->accessPoint === '' || preg_match(self::NAME, $report->accessPoint) === 1) {
            return [];
        }

        return [Finding::fault(
            "{$modem->node->name} goes onto the web by what is no access point",
            Spot::of($modem->endpoint, $modem->where(), 'accessPoint'),
            'The name of an access point is letters, digits and hyphens, with points between; a modem refuses anything else.',
            'Write it as the operator of the card does, as internet.example.',
        )];
    }
}
