<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Medium\Cellular\WebReport;
use Rundfunk\Plan\Plan;

/** Readings go to an address that a modem cannot ask for. */
final readonly class ReportAddressWrong extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-report-address';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $report = WebReport::of($plan, $modem);
            if ($report === null || $report->isSound()) {
                continue;
            }
            $length = $report->length();
            yield new Finding(
                $this->key(),
                Severity::Fault,
                $length > WebReport::LONGEST ? "{$modem->node->name} reports to an address of {$length} letters" : "{$modem->node->name} reports to what is no web address",
                Subject::of($modem->endpoint, $modem->where(), 'reportTo'),
                ['length' => $length, 'longest' => WebReport::LONGEST],
                'It stands between quotes in a command of one line: http:// or https://, a machine, a path, in plain letters without blanks or quotes, '.WebReport::LONGEST.' letters with the readings.',
                'Write it in full, as http://station.example/report.',
            );
        }
    }
}
