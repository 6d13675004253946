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

/** Readings go over the web for everybody to read. */
final readonly class ReportInClear extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-report-in-clear';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $report = WebReport::of($plan, $modem);
            if ($report === null || ! $report->isSound() || $report->isSecret()) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "{$modem->node->name} reports in the clear",
                Subject::of($modem->endpoint, $modem->where(), 'reportTo'),
                [],
                'Whoever is on the way reads what it says, and can answer in the place of the machine it asks. Readings that tell when nobody is at home tell it to others.',
                'Use https if the modem can; if not, send nothing that matters, and never obey the answer.',
            );
        }
    }
}
