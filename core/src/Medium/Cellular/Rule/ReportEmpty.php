<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Medium\Cellular\WebReport;
use Rundfunk\Plan\Spot;

/** A modem is to report, and there is nothing to report or no way out. */
#[Finds('cell-report-empty', WorkStep::Links)]
final readonly class ReportEmpty implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $report = WebReport::of($look->plan, $modem);
        if ($report === null) {
            return;
        }
        if ($report->readings === []) {
            yield Finding::warning(
                "{$modem->node->name} reports, and reads nothing",
                Spot::of($modem->endpoint, $modem->where(), 'reportTo'),
                "It asks for the address every {$report->everyMin} minutes and has no reading to put behind it.",
                'Give the node a sensor, or take the address away.',
                Fix::settings('Report nothing', $modem->endpoint, ['reportTo' => '']),
            );
        }
        if ($report->accessPoint === '') {
            yield Finding::fault(
                "{$modem->node->name} has no access point for the web",
                Spot::of($modem->endpoint, $modem->where(), 'accessPoint'),
                'Without the operator\'s access point name the modem registers, calls and texts, and gets no data.',
                'Ask the operator of the card what it is called.',
                about: [$modem->endpoint->id, 'access point'],
            );
        }
    }
}
