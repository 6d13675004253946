<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Wire;
use Rundfunk\Check\WireRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Levels\LevelParts;
use Rundfunk\Power\Levels\Wiring;

/** Something that lives on a pin, or a part at it, takes more than the pin should give. */
#[Finds('pin-overdrawn', WorkStep::PinsAndPower)]
final readonly class PinOverdrawn extends LevelRule implements WireRule
{
    public function check(Wire $wire, Look $look): iterable
    {
        return self::isBare($wire, $look) && Wiring::livesOnMa($wire) === null ? [] : self::overdrawn($wire, $look);
    }

    /** @return iterable<Finding> */
    private static function overdrawn(Wire $wire, Look $look): iterable
    {
        $wiring = Wiring::in($look);
        if ($wiring->isOverdrawn($wire)) {
            $drawsMa = (float) Wiring::livesOnMa($wire);
            $draws = Figures::significant($drawsMa);
            $baseOhm = $wiring->missingBaseOhm($wire);
            $part = $baseOhm === null ? null : LevelParts::driver($look->plan, $wire->module->id, $wire->terminal->name, $baseOhm);
            yield self::finding(
                $wire, "{$wire->module->name} takes {$draws} mA", $drawsMa,
                $baseOhm === null
                    ? 'A MOSFET or a relay between: no base current that the pin can give switches so much.'
                    : 'An NPN transistor between: its emitter to ground, the load from its collector to plus, '.Figures::ohms($baseOhm).' from the pin to its base.',
                $part === null ? null : new Fix("Put there: {$part->words}", ...$part->operations),
                [],
            );
        }
        foreach ($wiring->partsAt($wire) as $part) {
            $takesMa = $wiring->takenMa($wire, $part);
            if ($takesMa !== null && $takesMa > $wire->pinCurrent()->advisedMa) {
                yield self::finding(
                    $wire, "The {$part->kind->words()} at {$wire->module->name} {$wire->terminal->name} takes ".Figures::significant(round($takesMa)).' mA', $takesMa,
                    $part->kind === PartKind::Divider ? 'Both resistors larger, in the same proportion.' : 'A larger resistor.',
                    self::mend($look, $wire),
                    [$wire->use->id, $part->id],
                );
            }
        }
    }

    /** @param  list<string>  $about  what it is about besides the wire */
    private static function finding(Wire $wire, string $takes, float $drawsMa, string $remedy, ?Fix $fix, array $about): Finding
    {
        $current = $wire->pinCurrent();

        return Finding::of(
            $drawsMa > $current->absoluteMa ? Severity::Fault : Severity::Warning,
            "{$takes} from {$wire->use->pin} of {$wire->node->name}, which gives ".Figures::significant($current->advisedMa),
            $wire->at(),
            'The pin\'s driver is good for '.Figures::significant($current->absoluteMa).' mA at the very most, and ages well before: it sags, warms, and one day stays where it is.',
            $remedy,
            $fix,
            numbers: ['draws_ma' => round($drawsMa, 3), 'advised_ma' => $current->advisedMa, 'absolute_ma' => $current->absoluteMa],
            about: $about,
        );
    }
}
