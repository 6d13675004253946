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

/** The board's high is more than the modem's input stands. */
#[Finds('cell-level-too-high', WorkStep::Links)]
final readonly class LevelTooHigh implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $board = $look->catalogue->boardOf($modem->node);
        $levelV = $board === null ? null : $modem->end->level->becomesV($board->logicV);
        $mostV = $modem->figures->has('inputMaxV') ? $modem->figures->number('inputMaxV') : null;
        if ($levelV === null || $mostV === null || $levelV <= $mostV) {
            return [];
        }
        $better = $board->logicV * 1.2 / 2.2 <= $mostV && $board->logicV * 1.2 / 2.2 > 0.6 * $mostV ? ModemLevel::Small : ModemLevel::Shifter;

        return [Finding::fault(
            Figures::significant($levelV).' V go into a modem input that stands '.Figures::significant($mostV),
            Spot::of($modem->endpoint, $modem->where(), 'level'),
            'It works for a while, and the pin or the modem is lost later.'.($modem->end->level === ModemLevel::Copied ? ' The divider of 1 and 2 kΩ that is copied everywhere suits 3.3 V inputs only.' : ''),
            'Take a divider of 1 and 1.2 kΩ from 5 V, or a level shifter.',
            Fix::settings($better === ModemLevel::Small ? 'Put a divider of 1k and 1.2k there' : 'Put a level shifter there', $modem->endpoint, ['level' => $better->value]),
            numbers: ['level_v' => round($levelV, 2), 'most_v' => $mostV],
        )];
    }
}
