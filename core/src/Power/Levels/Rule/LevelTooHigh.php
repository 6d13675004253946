<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Power\Levels\Wiring;

/** The high of one end is more than the other stands. */
#[Finds('level-too-high', WorkStep::PinsAndPower)]
final readonly class LevelTooHigh extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $levels = Wiring::in($look)->levels($wire);
        if ($levels === null || ! $levels->isTooHigh()) {
            return [];
        }
        $arrives = Figures::significant((float) $levels->arrivesV());
        $most = Figures::significant((float) $levels->mostV);
        $what = $levels->driven ? "{$wire->module->name} {$wire->terminal->name}" : "{$wire->use->pin} of {$wire->node->name}";

        return [Finding::fault(
            "{$arrives} V go into {$what}, which stands {$most}",
            $wire->at(),
            'It works for a while, and the pin or the part is lost later.'.($levels->divider() === null ? '' : ' The divider that is there leaves too much.'),
            $levels->driven ? 'A divider or a level shifter between, or a board of lower voltage.' : "Feed {$wire->module->name} with the board's own voltage, or put a divider or a level shifter between.",
            self::mend($look, $wire),
            numbers: ['arrives_v' => round((float) $levels->arrivesV(), 3), 'most_v' => $levels->mostV],
        )];
    }
}
