<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Changes;

/** A state that is kept over a power cut and changes so often that it wears its memory out. */
#[Finds('restore-wears', WorkStep::SafeStates)]
final readonly class RestoreWears implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if ($output->atStart !== AtStart::Last) {
            return [];
        }
        $board = $look->board($look->plan->node($output->nodeId));
        $perDay = Changes::perDay($look, $output);
        $life = $board === null || ! Changes::hasEeprom($board) ? Changes::FLASH_WRITES : Changes::EEPROM_WRITES;
        $days = $perDay > 0.0 ? $life / $perDay : INF;
        if ($days >= 730.0) {
            return [];
        }

        return [Finding::warning(
            "Keeping how {$output->name} stands wears the board's memory out in ".Figures::significant($days).' days',
            At::output($look, $output, 'atStart'),
            'It changes '.Figures::significant($perDay).' times a day, and each time it is written; that memory bears some '.number_format($life, 0, '.', ',').' writes.',
            'Let it be off after a power cut, or keep it in a memory that bears more.',
            Fix::change('Off at start', $output, ['atStart' => AtStart::Off->value]),
            numbers: ['writes_per_day' => round($perDay, 2), 'days' => round($days, 1)],
        )];
    }
}
