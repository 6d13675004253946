<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Medium\Cellular\ModemLevel;
use Rundfunk\Plan\Plan;

/** The board's high is more than the modem's input stands. */
final readonly class LevelTooHigh extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-level-too-high';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $board = $knowledge->catalogue->boardOf($modem->node);
            $levelV = $board === null ? null : $modem->end->level->becomesV($board->logicV);
            $mostV = $modem->figures->has('inputMaxV') ? $modem->figures->number('inputMaxV') : null;
            if ($levelV === null || $mostV === null || $levelV <= $mostV) {
                continue;
            }
            $better = $board->logicV * 1.2 / 2.2 <= $mostV && $board->logicV * 1.2 / 2.2 > 0.6 * $mostV ? ModemLevel::Small : ModemLevel::Shifter;
            yield new Finding(
                $this->key(),
                Severity::Fault,
                Figures::significant($levelV).' V go into a modem input that stands '.Figures::significant($mostV),
                Subject::of($modem->endpoint, $modem->where(), 'level'),
                ['level_v' => round($levelV, 2), 'most_v' => $mostV],
                'It works for a while, and the pin or the modem is lost later.'.($modem->end->level === ModemLevel::Copied ? ' The divider of 1 and 2 kΩ that is copied everywhere suits 3.3 V inputs only.' : ''),
                'Take a divider of 1 and 1.2 kΩ from 5 V, or a level shifter.',
                self::setEnd($modem->endpoint, $better === ModemLevel::Small ? 'Put a divider of 1k and 1.2k there' : 'Put a level shifter there', ['level' => $better->value]),
            );
        }
    }
}
