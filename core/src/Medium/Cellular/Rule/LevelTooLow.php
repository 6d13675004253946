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

/** The modem's high is less than the board takes for one, on paper. */
final readonly class LevelTooLow extends CellularRule implements LooksNearby
{
    /** What an 8-bit board takes for high, as a share of its supply. Source: data sheet of the class, from memory. */
    private const HIGH = 0.6;

    public function key(): string
    {
        return 'cell-level-too-low';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $board = $knowledge->catalogue->boardOf($modem->node);
            $givesV = $modem->figures->has('outputV') ? $modem->figures->number('outputV') : null;
            if ($board === null || $givesV === null || $modem->end->level === ModemLevel::Shifter || $givesV >= self::HIGH * $board->logicV) {
                continue;
            }
            $needsV = Figures::significant(self::HIGH * $board->logicV);
            yield new Finding(
                $this->key(),
                Severity::Advice,
                "The modem's ".Figures::significant($givesV)." V are below the {$needsV} V that {$modem->node->name} takes for high",
                Subject::of($modem->endpoint, $modem->where(), 'level'),
                ['gives_v' => $givesV, 'needs_v' => self::HIGH * $board->logicV],
                'It mostly works on the bench, and fails in the cold or on another board.',
                'A level shifter both ways, or a board of 3.3 V.',
                self::setEnd($modem->endpoint, 'Put a level shifter there', ['level' => ModemLevel::Shifter->value]),
            );
        }
    }
}
