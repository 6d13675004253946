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

/** A modem is to report, and there is nothing to report or no way out. */
final readonly class ReportEmpty extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-report-empty';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $report = WebReport::of($plan, $modem);
            if ($report === null) {
                continue;
            }
            if ($report->readings === []) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$modem->node->name} reports, and reads nothing",
                    Subject::of($modem->endpoint, $modem->where(), 'reportTo'),
                    [],
                    "It asks for the address every {$report->everyMin} minutes and has no reading to put behind it.",
                    'Give the node a sensor, or take the address away.',
                    self::setEnd($modem->endpoint, 'Report nothing', ['reportTo' => '']),
                );
            }
            if ($report->accessPoint === '') {
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$modem->node->name} has no access point for the web",
                    Subject::of($modem->endpoint, $modem->where(), 'accessPoint'),
                    [],
                    'Without the operator\'s access point name the modem registers, calls and texts, and gets no data.',
                    'Ask the operator of the card what it is called.',
                    null,
                    [$modem->endpoint->id, 'access point'],
                );
            }
        }
    }
}
