<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\Misfits;
use Rundfunk\Power\Levels\Wiring;

/** A pull or a divider at a wire that the board hears asks more of what works against it than that bears. */
#[Finds('pull-too-strong', WorkStep::PinsAndPower)]
final readonly class PullTooStrong extends LevelRule implements WireRule
{
    /** Beyond that it burns. Absolute maximum of many logic outputs, from memory. */
    private const BURNS_MA = 20.0;

    public function check(Wire $wire, Look $look): iterable
    {
        // What a pin of the board bears is told by another rule.
        return self::isBare($wire, $look) || $wire->terminal->isDriven() ? [] : self::strong($wire, $look);
    }

    /** @return iterable<Finding> */
    private static function strong(Wire $wire, Look $look): iterable
    {
        $misfits = new Misfits(Wiring::in($look), $wire);
        foreach ($misfits->strong() as $part) {
            $mostMa = $misfits->mostMa();
            $asksMa = (float) $misfits->asksMa($part);
            yield Finding::of(
                $asksMa > max(self::BURNS_MA, $mostMa) ? Severity::Fault : Severity::Warning,
                "The {$part->kind->words()} at {$wire->module->name} {$wire->terminal->name} of {$wire->node->name} asks for ".Figures::significant($asksMa).' mA',
                $wire->at(),
                $wire->terminal->contact
                    ? 'A small key is made for '.Figures::significant($mostMa).' mA: with more its contacts wear, and the resistor gets hot.'
                    : 'Such an output bears '.Figures::significant($mostMa).' mA: with more its level goes, and then it does.',
                $part->kind === PartKind::Divider ? 'Both resistors larger, in the same proportion.' : 'A larger resistor.',
                self::mend($look, $wire),
                numbers: ['asks_ma' => round($asksMa, 3), 'most_ma' => $mostMa],
                about: [$wire->use->id, $part->id],
            );
        }
    }
}
