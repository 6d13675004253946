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
use Rundfunk\Figures;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Medium\Cellular\ModemLevel;
use Rundfunk\Plan\Spot;

/** The modem's high is less than the board takes for one, on paper. */
#[Finds('cell-level-too-low', WorkStep::Links)]
final readonly class LevelTooLow implements EndRule
{
    /** What an 8-bit board takes for high, as a share of its supply. Source: data sheet of the class, from memory. */
    private const HIGH = 0.6;

    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $board = $look->catalogue->boardOf($modem->node);
        $givesV = $modem->figures->has('outputV') ? $modem->figures->number('outputV') : null;
        if ($board === null || $givesV === null || $modem->end->level === ModemLevel::Shifter || $givesV >= self::HIGH * $board->logicV) {
            return [];
        }
        $needsV = Figures::significant(self::HIGH * $board->logicV);

        return [Finding::advice(
            "The modem's ".Figures::significant($givesV)." V are below the {$needsV} V that {$modem->node->name} takes for high",
            Spot::of($modem->endpoint, $modem->where(), 'level'),
            'It mostly works on the bench, and fails in the cold or on another board.',
            'A level shifter both ways, or a board of 3.3 V.',
            Fix::settings('Put a level shifter there', $modem->endpoint, ['level' => ModemLevel::Shifter->value]),
            numbers: ['gives_v' => $givesV, 'needs_v' => self::HIGH * $board->logicV],
        )];
    }
}
