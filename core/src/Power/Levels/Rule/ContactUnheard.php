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
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** What stands between a bare contact and its pin leaves no low while it is closed, or no high while it is open. */
#[Finds('contact-unheard', WorkStep::PinsAndPower)]
final readonly class ContactUnheard extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        if (self::isBare($wire, $look)) {
            return [];
        }
        $wiring = Wiring::in($look);
        if ((new Misfits($wiring, $wire))->muting() === []) {
            return [];
        }
        $levels = $wire->board->levels;
        $closedV = $wiring->contactV($wire, true);
        $openV = $wiring->contactV($wire, false);

        return [Finding::fault(
            "{$wire->use->pin} of {$wire->node->name} does not hear {$wire->module->name} {$wire->terminal->name}",
            $wire->at(),
            $openV < $levels->highInV - 1e-6
                ? 'Let go it stands at '.Figures::significant($openV).' V, and is high from '.Figures::significant($levels->highInV).' V on: it is read as pressed, or as now this and now that.'
                : 'Pressed it stands at '.Figures::significant($closedV).' V, and is low up to '.Figures::significant($levels->lowInV).' V: nobody notices that it is pressed.',
            'A contact to ground wants a pull-up, and at most a small resistor in its wire.',
            self::mend($look, $wire),
            numbers: ['open_v' => round($openV, 3), 'closed_v' => round($closedV, 3), 'high_v' => $levels->highInV, 'low_v' => $levels->lowInV],
        )];
    }
}
