<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Power\Levels\LevelParts;

/** Something that lives on a pin takes more than the pin should give. */
#[Finds('pin-overdrawn', WorkStep::PinsAndPower)]
final readonly class PinOverdrawn extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        $baseOhm = self::wiring($look)->missingBaseOhm($wire);
        if ($baseOhm === null) {
            return [];
        }
        $draws = Figures::significant((float) $wire->terminal->drawsMa);
        $current = $wire->board->pinCurrent;
        $part = LevelParts::driver($look->plan, $wire->module->id, $wire->terminal->name, $baseOhm);
        $title = "{$wire->module->name} takes {$draws} mA from {$wire->use->pin} of {$wire->node->name}, which gives ".Figures::significant($current->advisedMa);
        $detail = 'The pin\'s driver is good for '.Figures::significant($current->absoluteMa).' mA at the very most, and ages well before: it sags, warms, and one day stays where it is.';
        $remedy = 'An NPN transistor between: its emitter to ground, the load from its collector to plus, '.Figures::ohms($baseOhm).' from the pin to its base.';
        $fix = new Fix("Put there: {$part->words}", ...$part->operations);
        $numbers = ['draws_ma' => $wire->terminal->drawsMa, 'advised_ma' => $current->advisedMa, 'absolute_ma' => $current->absoluteMa, 'base_ohm' => $baseOhm];

        return [$wire->terminal->drawsMa > $current->absoluteMa
            ? Finding::fault($title, $wire->at(), $detail, $remedy, $fix, numbers: $numbers)
            : Finding::warning($title, $wire->at(), $detail, $remedy, $fix, numbers: $numbers)];
    }
}
