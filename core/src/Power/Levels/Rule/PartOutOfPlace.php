<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** A part at a wire that cannot do there what it is for: the signal goes the other way, or both ways, or is no level. */
#[Finds('part-out-of-place', WorkStep::PinsAndPower)]
final readonly class PartOutOfPlace extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        return self::isBare($wire, $look) ? [] : self::misplaced($wire, $look);
    }

    /** @return iterable<Finding> */
    private static function misplaced(Wire $wire, Look $look): iterable
    {
        $wiring = Wiring::in($look);
        foreach ($wiring->partsAt($wire) as $part) {
            $why = (new Misfits($wiring, $wire))->whyMisplaced($part);
            if ($why !== null) {
                yield Finding::fault(
                    ucfirst($part->kind->words())." in the wrong place: {$wire->module->name} {$wire->terminal->name} of {$wire->node->name}",
                    $wire->at(),
                    $why,
                    'Take it out, or put it at the wire that it was meant for.',
                    self::mend($look, $wire),
                    about: [$wire->use->id, $part->id],
                );
            }
        }
    }
}
