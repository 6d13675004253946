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

/** Readings go over the web for everybody to read. */
#[Finds('cell-report-in-clear', WorkStep::Links)]
final readonly class ReportInClear implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $report = WebReport::of($look->plan, $modem);
        if ($report === null || ! $report->isSound() || $report->isSecret()) {
            return [];
        }

        return [Finding::advice(
            "{$modem->node->name} reports in the clear",
            Spot::of($modem->endpoint, $modem->where(), 'reportTo'),
            'Whoever is on the way reads what it says, and can answer in the place of the machine it asks. Readings that tell when nobody is at home tell it to others.',
            'Use https if the modem can; if not, send nothing that matters, and never obey the answer.',
        )];
    }
}
