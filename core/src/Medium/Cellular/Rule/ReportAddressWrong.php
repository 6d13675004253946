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

/** Readings go to an address that a modem cannot ask for. */
#[Finds('cell-report-address', WorkStep::Links)]
final readonly class ReportAddressWrong implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $report = WebReport::of($look->plan, $modem);
        if ($report === null || $report->isSound()) {
            return [];
        }
        $length = $report->length();

        return [Finding::fault(
            $length > WebReport::LONGEST ? "{$modem->node->name} reports to an address of {$length} letters" : "{$modem->node->name} reports to what is no web address",
            Spot::of($modem->endpoint, $modem->where(), 'reportTo'),
            'It stands between quotes in a command of one line: http:// or https://, a machine, a path, in plain letters without blanks or quotes, '.WebReport::LONGEST.' letters with the readings.',
            'Write it in full, as http://station.example/report.',
            numbers: ['length' => $length, 'longest' => WebReport::LONGEST],
        )];
    }
}
