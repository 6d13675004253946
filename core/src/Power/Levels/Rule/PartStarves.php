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
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** What lives on the current that comes by a wire gets too little of it through what stands there. */
#[Finds('part-starves', WorkStep::PinsAndPower)]
final readonly class PartStarves extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        return self::isBare($wire, $look) ? [] : self::starving($wire, $look);
    }

    /** @return iterable<Finding> */
    private static function starving(Wire $wire, Look $look): iterable
    {
        $wiring = Wiring::in($look);
        foreach ((new Misfits($wiring, $wire))->starving() as $part) {
            $wantsMa = $wiring->wantedMa($wire) ?? 0.0;
            $isBase = $part->kind === PartKind::Driver;
            $getsMa = $isBase ? $wiring->takenMa($wire, $part) ?? 0.0 : $wiring->gottenMa($wire, $wantsMa);
            yield Finding::fault(
                $isBase
                    ? "The base of the transistor at {$wire->module->name} {$wire->terminal->name} of {$wire->node->name} gets ".Figures::significant($getsMa).' mA'
                    : "{$wire->module->name} {$wire->terminal->name} of {$wire->node->name} gets ".Figures::significant($getsMa).' mA of the '.Figures::significant($wantsMa).' that it lives on',
                $wire->at(),
                $isBase
                    ? 'It is to switch '.Figures::significant($wantsMa).' mA: with so little it is half open, gets warm, and what it works does not.'
                    : "It lives on what comes by this wire, and the {$part->kind->words()} lets too little through.",
                'A smaller resistor.',
                self::mend($look, $wire),
                numbers: ['gets_ma' => round($getsMa, 4), 'wants_ma' => round($wantsMa, 3)],
                about: [$wire->use->id, $part->id],
            );
        }
    }
}
